# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # What every step's page has: the inquiry as it stands, what was typed, and what was wrong with it.
      class Step
        include Words

        # A step in the row of steps: note is a count beside its name, or nil.
        Tab = Struct.new(:key, :name, :note, :state, keyword_init: true)

        NAMES = { ask: "Ask", word: "Word", narrow: "Narrow", sift: "Sift", weigh: "Weigh", act: "Act" }.freeze

        attr_reader :standing, :fields, :errors

        def initialize(context:, standing:, fields:, errors:)
          @context = context
          @standing = standing
          @fields = fields
          @errors = errors
        end

        def inquiry = standing.inquiry
        def question = standing.question
        def id = standing.saved.id
        def version = standing.saved.version
        def path(rest = key) = "/inquiries/#{id}/#{rest}"
        def title = "#{NAMES.fetch(key)}: #{question.text}"
        def key = self.class.name[/\w+\z/].downcase.to_sym

        # What a screen reader is told after a change.
        def said = errors.empty? ? "#{standing.final} papers" : errors.values.join(" ")

        # The change that can be undone or done again, as the words of its trail line; nil for none.
        def undo = standing.undo
        def redo = standing.redo

        # What was done, and what another window changed meanwhile, in words; "" for nothing to say.
        attr_accessor :notice

        def kind = question.kind && Question::Kind.fetch(question.kind)

        def tabs
          NAMES.map { |step, name| Tab.new(key: step, name:, note: notes[step], state: state(step)) }
        end

        # Where the number of papers stands against the aim, in words.
        def standing_words
          aim = "your aim of #{inquiry.aim.from} to #{inquiry.aim.to}"
          "#{inquiry.aim.standing(standing.final)} #{aim}"
        end

        private

        def notes
          terms = inquiry.searched_blocks.sum { |block| block.in_use.size }
          { word: some(terms, "terms"), narrow: (some(standing.final, "left") if terms.positive?),
            sift: some(inquiry.kept_ids.size, "kept"), weigh: some(inquiry.papers.size, "weighed") }
        end

        def some(count, what) = ("#{count} #{what}" if count.positive?)

        def state(step)
          return :current if step == key

          done?(step) ? :done : :open
        end

        def done?(step)
          case step
          when :ask then question.searched.any?
          when :word then standing.cascade.joined.size.positive?
          when :narrow then standing.final.positive? && inquiry.aim.standing(standing.final) == :inside
          when :sift then inquiry.kept_ids.any?
          when :weigh then inquiry.papers.any?
          when :act then !inquiry.conclusion.empty?
          end
        end
      end
    end
  end
end

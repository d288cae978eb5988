# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # How far an inquiry has come, step by step: which steps are done, and what there is to say of
      # each.
      class Progress
        include Formatting

        NAMES = { ask: "Ask", word: "Word", narrow: "Narrow", sift: "Sift", weigh: "Weigh",
                  act: "Act" }.freeze

        # papers :: how many are left by the search
        # outline :: Inquiry::Outline
        def initialize(outline, papers)
          @outline = outline
          @papers = papers
        end

        def done?(step)
          case step
          when :ask then @outline.question.searched.any?
          when :word then blocks.any? && blocks.all?(&:positive?)
          when :narrow then @papers.positive? && @outline.aim.standing(@papers) != :above
          when :sift then @outline.kept.positive?
          when :weigh then @outline.weighed.positive?
          when :act then @outline.concluded
          end
        end

        # A count and its word, nil where there is none yet.
        def note(step)
          case step
          when :word then some(terms, "term")
          when :narrow then "#{number(@papers)} left" if terms.positive?
          when :sift then said(@outline.kept, "kept")
          when :weigh then said(@outline.weighed, "weighed")
          end
        end

        private

        def blocks = @outline.blocks
        def terms = @outline.in_use
        def some(count, noun) = (count_of(count, noun) if count.positive?)
        def said(count, word) = ("#{number(count)} #{word}" if count.positive?)
      end
    end
  end
end

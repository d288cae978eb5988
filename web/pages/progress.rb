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
        def initialize(inquiry, papers)
          @inquiry = inquiry
          @papers = papers
        end

        def done?(step)
          case step
          when :ask then @inquiry.question.searched.any?
          when :word then blocks.any? && blocks.all? { |block| block.in_use.any? }
          when :narrow then @papers.positive? && @inquiry.aim.standing(@papers) == :inside
          when :sift then @inquiry.kept_ids.any?
          when :weigh then @inquiry.papers.any?(&:weighed?)
          when :act then !@inquiry.conclusion.empty?
          end
        end

        # A count and its word, nil where there is none yet.
        def note(step)
          case step
          when :word then some(terms, "term")
          when :narrow then "#{number(@papers)} left" if terms.positive?
          when :sift then said(@inquiry.kept_ids.size, "kept")
          when :weigh then said(@inquiry.papers.count(&:weighed?), "weighed")
          end
        end

        private

        def blocks = @inquiry.searched_blocks
        def terms = blocks.sum { |block| block.in_use.size }
        def some(count, noun) = (count_of(count, noun) if count.positive?)
        def said(count, word) = ("#{number(count)} #{word}" if count.positive?)
      end
    end
  end
end

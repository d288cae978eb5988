# frozen_string_literal: true

module Hobrin
  module Services
    # What the Narrow step shows beyond the cascade: what each unused limit would leave, and what each step took away.
    class ReadNarrow
      # step :: the step of the cascade; papers :: that it took away for saying nothing; not_indexed :: of those
      Silence = Struct.new(:step, :papers, :not_indexed, keyword_init: true)
      # words :: as the question says it; preview :: Narrowing::Previews::Preview
      Stated = Struct.new(:words, :preview, keyword_init: true)

      def initialize(context)
        @context = context
      end

      # standing :: ReadInquiry::Standing; names :: of limits. Gives a Hash of limit name to Narrowing::Previews::Preview.
      def call(standing, names = Narrowing::Previews::OFFERED) = previews(standing).call(names)

      def previews(standing)
        @previews ||= Narrowing::Previews.new(cascade: standing.cascade, limits: standing.inquiry.limits, evaluator:,
                                              today: @context.today, must_find: must_find(standing.inquiry))
      end

      # Limits that the question says itself and that are not on: Array of Stated.
      def stated(standing)
        inquiry = standing.inquiry
        found = Narrowing::StatedLimits.new(@context.today).call(inquiry.question.text)
        found.reject { |one| inquiry.limits.any? { |limit| limit.name == one.leaf.name } }
             .map { |one| Stated.new(words: one.words, preview: previews(standing).preview(one.leaf)) }
      end

      # Gives a Narrowing::PerYear.
      def per_year(standing) = Narrowing::PerYear.of(standing.cascade, evaluator)

      # Of the papers that limits took away, those that say nothing the limit could go by.
      # Gives an Array of Silence, one for each limit with any.
      def silences(standing)
        standing.cascade.steps.select { |step| !step.block? && step.on }.filter_map do |step|
          silent = step.removed & evaluator.index.unstated(step.source.name)
          next if silent.empty?

          Silence.new(step:, papers: silent.size, not_indexed: silent.overlap(evaluator.index.not_indexed))
        end
      end

      # Papers that one step of the cascade took away, and how many there are: [Array of Record, Integer].
      # place :: of the step, from 0; order :: :newest or :strongest. Raises GoneError when there is no such step.
      def taken_away(standing, place, order: :newest, limit: 8)
        step = standing.cascade.steps[place] or raise GoneError, "step"
        return [@context.library.newest(step.removed, limit:), step.removed.size] if order == :newest

        [strongest(step.removed, standing.question.kind, limit), step.removed.size]
      end

      # The papers that were let in by hand, in the order in which they were.
      def let_in(standing) = @context.library.records_by_id(standing.inquiry.let_in)

      # How the search does by what is known of it so far. Gives a Narrowing::Rates.
      def rates(standing)
        inquiry = standing.inquiry
        kept, dropped = %i[keep drop].map do |verdict|
          ids = inquiry.decisions.select { |decision| decision.verdict == verdict }.map(&:record_id)
          @context.library.set(ids).overlap(standing.cascade.final)
        end
        known = must_find(inquiry)
        Narrowing::Rates.new(known: known.size, found: known.overlap(standing.cascade.final), kept:, dropped:)
      end

      private

      def evaluator = @context.evaluator
      def must_find(inquiry) = (@must_find ||= {})[inquiry.must_find] ||= @context.library.set(inquiry.must_find)

      # Along the study types from the strongest for the kind of question; of each the newest first.
      def strongest(set, kind, limit)
        of_types = Appraisal::Level.types(kind).filter_map { |type| evaluator.index.sets(:type)[type] }
        [*of_types, set].reduce([]) do |found, papers|
          break found if found.size >= limit

          these = papers & set
          set -= these
          found + @context.library.newest(these, limit: limit - found.size)
        end
      end
    end
  end
end

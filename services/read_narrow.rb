# frozen_string_literal: true

module Hobrin
  module Services
    # What the Narrow step shows beyond the cascade: what each unused limit would leave.
    class ReadNarrow
      # step :: the step of the cascade; papers :: that it took away for saying nothing; not_indexed :: of those
      Silence = Struct.new(:step, :papers, :not_indexed, keyword_init: true)

      def initialize(context)
        @context = context
      end

      # standing :: ReadInquiry::Standing; names :: of limits. Gives a Hash of limit name to Narrowing::Previews::Preview.
      def call(standing, names = Narrowing::Previews::OFFERED)
        Narrowing::Previews.new(cascade: standing.cascade, limits: standing.inquiry.limits,
                                evaluator: @context.evaluator, today: @context.today).call(names)
      end

      # Of the papers that limits took away, those that say nothing the limit could go by.
      # Gives an Array of Silence, one for each limit with any.
      def silences(standing)
        standing.cascade.steps.select { |step| !step.block? && step.on }.filter_map do |step|
          silent = step.removed & index.unstated(step.source.name)
          Silence.new(step:, papers: silent.size, not_indexed: silent.overlap(index.not_indexed)) unless silent.empty?
        end
      end

      # The newest papers that one step of the cascade took away, and how many there are.
      # place :: of the step, from 0. Raises GoneError when there is no such step.
      def taken_away(standing, place, limit: 8)
        step = standing.cascade.steps[place] or raise GoneError, "step"
        [@context.library.newest(step.removed, limit:), step.removed.size]
      end

      private

      def index = @context.evaluator.index
    end
  end
end

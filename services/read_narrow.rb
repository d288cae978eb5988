# frozen_string_literal: true

module Hobrin
  module Services
    # What the Narrow step shows beyond the cascade: what each unused limit would leave.
    class ReadNarrow
      def initialize(context)
        @context = context
      end

      # standing :: ReadInquiry::Standing. Gives a Hash of limit name to Narrowing::Previews::Preview.
      def call(standing)
        Narrowing::Previews.new(cascade: standing.cascade, limits: standing.inquiry.limits,
                                evaluator: @context.evaluator, today: @context.today).call
      end

      # The newest papers that one step of the cascade took away, and how many there are.
      # place :: of the step, from 0. Raises GoneError when there is no such step.
      def taken_away(standing, place, limit: 20)
        step = standing.cascade.steps[place] or raise GoneError, "step"
        [@context.library.newest(step.removed, limit:), step.removed.size]
      end
    end
  end
end

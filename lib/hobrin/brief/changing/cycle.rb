# frozen_string_literal: true

module Hobrin
  class Brief
    # A small cycle of trying a change out: what was planned, what was done, what was seen, and what
    # is done differently next time. (Plan, do, study, act: common practice of quality improvement.)
    class Cycle < Value
      attributes :plan, :did, :saw, :next_time

      NAMES = { plan: "Planned", did: "Done", saw: "Seen", next_time: "Next time" }.freeze
      LONGEST = 500
      MOST = 20

      # Raises InputError (:cycles).
      def initialize(plan:, did: "", saw: "", next_time: "")
        @plan, @did, @saw, @next_time = [plan, did, saw, next_time].map do |text|
          text.to_s.strip.freeze
        end
        raise InputError, { cycles: "Say what was planned." } if @plan.empty?
        if to_h.values.any? do |text|
          text.size > LONGEST
        end
          raise InputError,
                { cycles: "Keep each field to #{LONGEST} characters." }
        end

        freeze
      end

      # Whether it was gone through to its end.
      def closed? = !saw.empty?
    end
  end
end

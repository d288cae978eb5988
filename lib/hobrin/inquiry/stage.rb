# frozen_string_literal: true

module Hobrin
  class Inquiry
    # Where an inquiry stands on the way from a question to a change that works, and what waits.
    class Stage
      # The last first, since the furthest that holds is where it stands.
      NAMES = { due: "Due again", measuring: "Measuring", changing: "Changing", weighing: "Weighing",
                reading: "Reading", searching: "Searching", asked: "Asked" }.freeze

      # Something that waits. who :: name, "" for nobody in particular; what :: in words; on :: Date
      #   by which, or nil; late :: whether that is past
      class Waiting < Value
        attributes :who, :what, :on, :late
      end

      # inquiry :: Inquiry; today :: Date; since_signed :: how many changes came after the last
      #   signature, nil while none is there
      def initialize(inquiry, today:, since_signed: nil)
        @inquiry = inquiry
        @today = today
        @since_signed = since_signed
      end

      # Key of NAMES.
      def key = NAMES.keys.find { |key| send(:"#{key}?") }
      def name = NAMES.fetch(key)

      # Array of Waiting, what is late first.
      def waiting
        [*again, *steps, *unsure, *unsigned].sort_by.with_index do |one, place|
          [one.late ? 0 : 1, place]
        end
      end

      private

      def acting = @inquiry.acting
      def plan = @inquiry.plan

      def due? = !plan.look_again_on.nil? && plan.look_again_on <= @today
      def measuring? = acting.measures.any? { |measure| measure.points.any? }
      def changing? = !acting.decision.empty? || acting.steps.any? || !@inquiry.conclusion.empty?
      def weighing? = @inquiry.kept_ids.any?
      def reading? = @inquiry.decisions.any?
      def searching? = @inquiry.blocks.any? { |block| block.terms.any? }
      def asked? = true

      def again
        return [] unless due?

        [Waiting.new(who: "", what: "look again: did it work?", on: plan.look_again_on, late: true)]
      end

      def steps
        acting.steps.reject(&:done).map do |step|
          Waiting.new(who: step.who, what: step.what, on: step.on,
                      late: !step.on.nil? && step.on < @today)
        end
      end

      def unsure
        count = @inquiry.decisions.count { |decision| decision.verdict == :unsure }
        return [] if count.zero?

        [Waiting.new(who: "", what: count == 1 ? "1 unsure paper" : "#{count} unsure papers",
                     on: nil, late: false)]
      end

      def unsigned
        return [] if @inquiry.conclusion.empty? || @since_signed&.zero?

        what = @since_signed ? "the brief changed since it was signed off" : "the brief is not signed off"
        [Waiting.new(who: "", what:, on: nil, late: false)]
      end
    end
  end
end

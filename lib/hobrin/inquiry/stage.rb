# frozen_string_literal: true

module Hobrin
  class Inquiry
    # Where an inquiry stands on the way from a question to a change that works, and what waits.
    class Stage
      # The last first, since the furthest that holds is where it stands.
      NAMES = Book.names("inquiry.stage", %i[due measuring changing weighing reading searching asked])

      # Something that waits. who :: name, "" for nobody in particular; what :: in words; on :: Date
      #   by which, or nil; late :: whether that is past
      class Waiting < Value
        attributes :who, :what, :on, :late
      end

      # outline :: Outline; today :: Date; since_signed :: how many changes came after the last
      #   signature, nil while none is there
      def initialize(outline, today:, since_signed: nil)
        @outline = outline
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

      def due? = !@outline.look_again_on.nil? && @outline.look_again_on <= @today
      def measuring? = @outline.measured
      def changing? = @outline.decision || @outline.steps.positive? || @outline.concluded
      def weighing? = @outline.kept.positive?
      def reading? = @outline.decided.positive?
      def searching? = @outline.terms.positive?
      def asked? = true

      def again
        return [] unless due?

        [Waiting.new(who: "", what: Book.t("inquiry.waiting.review"), on: @outline.look_again_on, late: true)]
      end

      def steps
        @outline.open_steps.map do |step|
          Waiting.new(who: step.who, what: step.what, on: step.on,
                      late: !step.on.nil? && step.on < @today)
        end
      end

      def unsure
        count = @outline.unsure
        return [] if count.zero?

        [Waiting.new(who: "", what: Book.t("inquiry.waiting.unsure", count:), on: nil, late: false)]
      end

      def unsigned
        return [] if !@outline.concluded || @since_signed&.zero?

        what = Book.t("inquiry.waiting.#{@since_signed ? "brief_changed" : "brief_unsigned"}")
        [Waiting.new(who: "", what:, on: nil, late: false)]
      end
    end
  end
end

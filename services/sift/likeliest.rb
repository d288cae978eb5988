# frozen_string_literal: true

module Hobrin
  module Services
    # What Hobrin learns from the decisions so far about the papers that are unread.
    class Likeliest
      # opened :: OpenInquiry
      def initialize(context, opened)
        @context = context
        @inquiry = opened.inquiry
        @set = opened.cascade.final
      end

      # Whether there is anything to learn from: a paper kept and a paper dropped.
      def any? = verdicts.include?(:keep) && verdicts.include?(:drop)

      # Hash of the number of each unread paper to how likely it is to be kept, the likeliest first:
      # an order, and no more than that; what is to be counted with is calibrated.
      def call
        @call ||= unread.to_h { |number| [number, keeping.call(traits.fetch(number))] }
                        .sort_by { |_, likely| -likely }.to_h
      end

      # What speaks for a record and against: Array of [trait, share], the strongest first; see
      # Screening::Prediction.
      def reasons(record)
        number = @context.library.number(record.id)
        keeping.reasons(@context.traits([number]).fetch(number))
      end

      # Gives a Screening::StoppingEstimate.
      def stopping
        @stopping ||= begin
          calibration = Screening::Calibration.of(examples)
          Screening::StoppingEstimate.new(call.values.map { |likely| calibration.call(likely) })
        end
      end

      private

      def verdicts = @verdicts ||= @inquiry.decisions.map(&:verdict)

      def unread
        @unread ||= (@set - @context.library.set(@inquiry.decisions.map(&:record_id))).to_a
      end

      def traits = @traits ||= @context.traits(unread)

      def keeping = @keeping ||= Screening::Prediction.new(examples)

      # Papers of which the person was unsure teach nothing.
      def examples
        @examples ||= begin
          decided = @inquiry.decisions.reject { |decision| decision.verdict == :unsure }
          numbers = decided.to_h { |one| [one.record_id, one.verdict == :keep] }
          by_id = @context.library.numbers(numbers.keys)
          known = @context.traits(by_id.values)
          numbers.filter_map { |id, kept| by_id[id] && [known.fetch(by_id[id]), kept] }
        end
      end
    end
  end
end

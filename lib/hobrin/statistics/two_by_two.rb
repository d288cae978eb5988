# frozen_string_literal: true

module Hobrin
  module Statistics
    # The four numbers of a trial with two groups and an outcome that happens or does not:
    # how many had it and how many there were, with the intervention and without.
    #
    # Raises InputError naming the field when a number is not whole, is negative, or when more had
    # the outcome than there were.
    class TwoByTwo < Value
      attributes :events, :total, :comparison_events, :comparison_total

      LARGEST = 100_000_000

      def initialize(events:, total:, comparison_events:, comparison_total:)
        @events = events
        @total = total
        @comparison_events = comparison_events
        @comparison_total = comparison_total
        errors = number_errors.merge(pair_errors)
        raise InputError, errors unless errors.empty?

        freeze
      end

      # With and without the outcome, with the intervention and then without it.
      def cells = [events, total - events, comparison_events, comparison_total - comparison_events]

      def risk = events.fdiv(total)
      def comparison_risk = comparison_events.fdiv(comparison_total)

      private

      def number_errors
        to_h.reject { |_, number| number.is_a?(Integer) && number.between?(0, LARGEST) }
            .transform_values { "Write a whole number, 0 or more." }
      end

      def pair_errors
        { events: [events, total], comparison_events: [comparison_events, comparison_total] }
          .filter_map { |field, (part, whole)| pair_error(field, part, whole) }.to_h
      end

      def pair_error(field, part, whole)
        return unless part.is_a?(Integer) && whole.is_a?(Integer)
        return [field == :events ? :total : :comparison_total, "A group has at least 1 person."] if whole.zero?

        [field, "#{part} is more than the #{whole} in this group."] if part > whole
      end
    end
  end
end

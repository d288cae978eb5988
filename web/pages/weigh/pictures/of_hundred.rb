# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Weigh
        # What an outcome comes to in a hundred people like ours, at our own baseline.
        class OfHundred
          include Formatting

          # part :: Outcome
          def initialize(part)
            @part = part
            @row = Appraisal::Findings::Row.new(pool: part.pool, certainty: nil)
          end

          def any? = !numbers.nil?
          def without = people(numbers[0])
          def with = people(numbers[1])
          def lowest = numbers[2..].map { |share| people(share) }.min
          def highest = numbers[2..].map { |share| people(share) }.max

          # Where the baseline comes from, in words.
          def from
            @part.outcome.baseline ? "our own baseline" : "the middle of the papers' comparison groups"
          end

          def typed
            @part.page.typed_or(:baseline,
                                @part.outcome.baseline && decimal(@part.outcome.baseline,
                                                                  1).delete_suffix(".0"))
          end

          # Whether there is a difference to draw.
          def difference? = @row.difference?

          # The number needed to treat with its interval.
          def needed = Brief::Words::OfNumberNeeded.of(*numbers)

          private

          def numbers = @numbers ||= @row.hundred
          def people(share) = (100 * share).round.clamp(0, 100)
        end
      end
    end
  end
end

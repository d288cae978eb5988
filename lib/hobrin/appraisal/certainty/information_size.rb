# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # How many people one trial would need to find what is worth having, with 80 of 100 chances
      # and 5 of
      # 100 of being misled (two proportions with the variance pooled under no difference; the
      # textbooks', from memory), beside how many are there. Of means some 400 people, of what else
      # is told as a ratio some 300 events (common practice, no source).
      #
      # count, there :: how many are needed and there; of :: "people" or "events"
      # from, to :: the change in one trial that so many people show, 0 to 1; nil for what is not
      #   counted in people
      class InformationSize < Value
        attributes :count, :there, :of, :from, :to

        def initialize(count:, there:, of:, from: nil, to: nil) = super

        # A change by a quarter, where no smallest difference is given.
        QUARTER = 0.25
        PEOPLE = 400
        EVENTS = 300
        private_constant :QUARTER, :PEOPLE, :EVENTS

        def words
          facts = { count:, there:, of: Book.t("appraisal.information_size.#{of}") }
          return Book.t("appraisal.information_size.needed", **facts) unless from

          Book.t("appraisal.information_size.needed_for_change", **facts, from: per_hundred(from), to: per_hundred(to))
        end

        private

        def per_hundred(share) = (100 * share).round(1).to_s.delete_suffix(".0")

        class << self
          # pool :: Appraisal::Synthesis::Pool; pooled :: its effect, with estimate. Gives an InformationSize;
          # nil where it cannot be told.
          def of(pool, pooled)
            case pool.outcome.kind
            when "events" then of_counts(pool, pooled)
            when "scale" then new(count: PEOPLE, there: pool.effective_people, of: "people") if pool.people.positive?
            when "rate" then new(count: EVENTS, there: pool.events, of: "events") if pool.events.positive?
            end
          end

          private

          # For a change in the direction of what was found: a harm that rises from 1 to 6 of 100
          # needs other numbers than a fall from 1. Nil where so large a change is not possible.
          def of_counts(pool, pooled)
            baseline = pool.baseline
            return unless baseline&.between?(0.001, 0.999) && pool.people.positive?

            size = pool.outcome.worthwhile&./(100) || (baseline * QUARTER)
            other = pooled.estimate.positive? ? baseline + size : baseline - size
            return unless other.positive? && other < 1

            new(count: 2 * Statistics::SampleSize.each_group(baseline, other), there: pool.effective_people, of: "people",
                from: baseline, to: other)
          end
        end
      end
    end
  end
end

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
      class InformationSize < Value
        attributes :count, :there, :of

        # Less of it by a quarter, where nothing else is said.
        QUARTER = 0.25
        PEOPLE = 400
        EVENTS = 300
        private_constant :QUARTER, :PEOPLE, :EVENTS

        def words = "one trial would need #{count} #{of}, there are #{there}"

        class << self
          # pool :: Together::Pool. Gives an InformationSize; nil where it cannot be told.
          def of(pool)
            case pool.outcome.kind
            when "events" then of_counts(pool)
            when "scale" then new(count: PEOPLE, there: pool.people,
                                  of: "people") if pool.people.positive?
            when "rate" then new(count: EVENTS, there: pool.events,
                                 of: "events") if pool.events.positive?
            end
          end

          private

          def of_counts(pool)
            baseline = pool.baseline
            return unless baseline&.between?(0.001, 0.999) && pool.people.positive?

            own = pool.outcome.worthwhile
            other = own ? baseline - (own / 100) : baseline * (1 - QUARTER)
            other = [other, baseline / 2].max
            new(count: 2 * Statistics::SampleSize.each_group(baseline, other), there: pool.people, of: "people")
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Outcome
      # What sort of thing an outcome is: by which measures it is told, and in which forms papers
      # give it. The first measure and the first form are the usual ones.
      class Kind < Value
        attributes :key, :name, :measures, :forms

        MEANS = %w[means_sd means_se means_interval medians_quartiles medians_range
                   medians_both].freeze
        ALL = [
          new(key: "events", name: "Happens or not, in two groups",
              measures: %i[risk_ratio odds_ratio risk_difference peto_odds_ratio], forms: %w[counts estimate]),
          new(key: "scale", name: "Measured on a scale, in two groups", measures: %i[mean_difference standardized],
              forms: [*MEANS, "estimate"]),
          new(key: "rate", name: "Counted over time, in two groups", measures: %i[rate_ratio rate_difference],
              forms: %w[events_over_time estimate]),
          new(key: "time", name: "Time until it happens", measures: %i[hazard_ratio],
              forms: %w[estimate]),
          new(key: "share", name: "Share of one group", measures: %i[share], forms: %w[one_group]),
          new(key: "test", name: "How often a test is right", measures: %i[accuracy],
              forms: %w[four_cells]),
          new(key: "ready", name: "A ratio or difference as printed",
              measures: %i[ratio difference], forms: %w[estimate])
        ].freeze
        private_constant :MEANS

        # Raises InputError (:kind) for an unknown key.
        def self.fetch(key)
          ALL.find { |kind| kind.key == key } || raise(InputError, { kind: "Choose what sort of outcome it is." })
        end

        # The measures in which a printed effect may be; nil where any ratio or difference will do.
        def printed = (measures unless key == "ready")

        # Whether two groups are compared, also in a printed effect.
        def compares? = !%w[share test].include?(key)

        def two_groups? = %w[events scale rate].include?(key)

        # Whether a baseline in people of 100 means something for it.
        def baseline? = %w[events time].include?(key)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # In which form a paper gives a result: which numbers stand in it. A form of two groups asks
      # each number twice, of those with the intervention and of those without it.
      #
      # key, name :: Strings; fields :: Array of Field; two_groups :: whether each is asked twice
      class Form < Value
        attributes :key, :name, :fields, :two_groups

        # name :: Symbol; label :: in words; whole :: whether it is a count; needed :: whether it
        #   must be there
        class Field < Value
          attributes :name, :label, :whole, :needed
        end

        OTHER = "comparison_"

        def self.field(name, label, whole: false, needed: true)
          Field.new(name:, label:, whole:, needed:)
        end
        private_class_method :field

        SIZE = field(:size, "people", whole: true)
        MEDIAN = field(:median, "median")
        QUARTILES = [field(:lower, "lower quartile"), MEDIAN,
                     field(:upper, "upper quartile")].freeze
        private_constant :SIZE, :MEDIAN, :QUARTILES

        ALL = [
          new(key: "counts", name: "How many of how many", two_groups: true,
              fields: [field(:events, "had it", whole: true), field(:total, "of", whole: true)]),
          new(key: "means_sd", name: "Means with standard deviations", two_groups: true,
              fields: [field(:mean, "mean"), field(:deviation, "standard deviation"), SIZE]),
          new(key: "means_se", name: "Means with standard errors", two_groups: true,
              fields: [field(:mean, "mean"), field(:error, "standard error"), SIZE]),
          new(key: "means_interval", name: "Means with 95 % intervals", two_groups: true,
              fields: [field(:mean, "mean"), field(:low, "from"), field(:high, "to"), SIZE]),
          new(key: "medians_quartiles", name: "Medians with quartiles", two_groups: true,
              fields: [*QUARTILES, SIZE]),
          new(key: "medians_range", name: "Medians with least and most", two_groups: true,
              fields: [field(:least, "least"), MEDIAN, field(:most, "most"), SIZE]),
          new(key: "medians_both", name: "Medians with quartiles, least and most", two_groups: true,
              fields: [field(:least, "least"), *QUARTILES, field(:most, "most"), SIZE]),
          new(key: "events_over_time", name: "Events over time", two_groups: true,
              fields: [field(:events, "events", whole: true), field(:time, "in so much time")]),
          new(key: "one_group", name: "How many of how many", two_groups: false,
              fields: [field(:events, "had it", whole: true), field(:total, "of", whole: true)]),
          new(key: "four_cells", name: "Test against reference", two_groups: false,
              fields: [field(:true_positives, "ill, test positive", whole: true),
                       field(:false_negatives, "ill, test negative", whole: true),
                       field(:false_positives, "well, test positive", whole: true),
                       field(:true_negatives, "well, test negative", whole: true)]),
          new(key: "estimate", name: "The effect as printed", two_groups: false,
              fields: [field(:value, "effect"), field(:low, "interval from", needed: false),
                       field(:high, "to", needed: false),
                       field(:p, "or its p", needed: false),
                       field(:people, "people in all", whole: true, needed: false),
                       field(:level, "level of the interval, if not 95 %", needed: false),
                       field(:risk, "risk without it, of 100 (for a reversed scale)", needed: false)])
        ].freeze

        # Raises InputError (:form) for an unknown key.
        def self.fetch(key)
          ALL.find { |form| form.key == key } || raise(InputError, { form: "Choose what the paper gives." })
        end

        # The names of all numbers that it asks for.
        def names
          two_groups ? [*first_names, *first_names.map { |name| other(name) }] : first_names
        end

        def other(name) = :"#{OTHER}#{name}"

        # The Field of a name, that of either group.
        def field(name) = fields.find { |field| field.name == name || other(field.name) == name }

        private

        def first_names = fields.map(&:name)
      end
    end
  end
end

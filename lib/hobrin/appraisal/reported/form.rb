# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Reported
      # In which form a paper gives a result: which numbers stand in it. A form of two groups asks
      # each number twice, of those with the intervention and of those without it.
      #
      # key, name :: Strings; fields :: Array of Field; two_groups :: whether each is asked twice
      class Form < Value
        attributes :key, :fields, :two_groups

        # name :: Symbol; label :: in words; whole :: whether it is a count; needed :: whether it
        #   must be there
        class Field < Value
          attributes :name, :label, :whole, :needed
        end

        OTHER = "comparison_"

        def self.field(name, label: name, whole: false, needed: true)
          Field.new(name:, label: Book.t("appraisal.field.#{label}"), whole:, needed:)
        end
        private_class_method :field

        SIZE = field(:size, whole: true)
        MEDIAN = field(:median)
        QUARTILES = [field(:lower), MEDIAN,
                     field(:upper)].freeze
        private_constant :SIZE, :MEDIAN, :QUARTILES

        ALL = [
          new(key: "counts", two_groups: true,
              fields: [field(:events, label: :had_it, whole: true), field(:total, label: :of, whole: true)]),
          new(key: "means_sd", two_groups: true,
              fields: [field(:mean), field(:deviation), SIZE]),
          new(key: "means_se", two_groups: true,
              fields: [field(:mean), field(:error), SIZE]),
          new(key: "means_interval", two_groups: true,
              fields: [field(:mean), field(:low, label: :from), field(:high, label: :to), SIZE]),
          new(key: "medians_quartiles", two_groups: true,
              fields: [*QUARTILES, SIZE]),
          new(key: "medians_range", two_groups: true,
              fields: [field(:least), MEDIAN, field(:most), SIZE]),
          new(key: "medians_both", two_groups: true,
              fields: [field(:least), *QUARTILES, field(:most), SIZE]),
          new(key: "events_over_time", two_groups: true,
              fields: [field(:events, whole: true), field(:time)]),
          new(key: "one_group", two_groups: false,
              fields: [field(:events, label: :had_it, whole: true), field(:total, label: :of, whole: true)]),
          new(key: "four_cells", two_groups: false,
              fields: [field(:true_positives, whole: true),
                       field(:false_negatives, whole: true),
                       field(:false_positives, whole: true),
                       field(:true_negatives, whole: true)]),
          new(key: "estimate", two_groups: false,
              fields: [field(:value), field(:low, label: :interval_from, needed: false),
                       field(:high, label: :to, needed: false),
                       field(:p, needed: false),
                       field(:people, label: :people_in_all, whole: true, needed: false),
                       field(:level, needed: false),
                       field(:risk, needed: false)])
        ].freeze

        def name = Book.t("appraisal.form.#{key}")

        # Raises InputError (:form) for an unknown key.
        def self.fetch(key)
          ALL.find { |form| form.key == key } || raise(InputError, { form: Book.t("appraisal.errors.form") })
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

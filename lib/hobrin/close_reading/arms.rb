# frozen_string_literal: true

module Hobrin
  module CloseReading
    # The two groups that are compared. Either name may be empty where nobody has said.
    #
    # intervention, comparison :: Strings
    class Arms < Value
      attributes :intervention, :comparison

      # A word without its ending.
      def self.stem(word) = word.sub(/(?:ing|es|ed|e|s)\z/, "").sub(/([^aeiou])\1\z/, '\1')

      # What papers call the two groups whatever they got.
      GENERIC_WITH = %w[intervention treatment treated experimental exposed active study device bundle package programme
                        program user].map { |word| stem(word) }.freeze
      GENERIC_WITHOUT = %w[control comparison comparator untreated unexposed without non-user nonuser]
                        .map { |word| stem(word) }.freeze
      # Care without anything new.
      USUAL = /\b(?:usual|standard|routine|conventional|normal|ordinary|nothing|no \p{L}+)\b/i
      FILLING = %w[a an the of in on with and or for to at by group groups arm arms ward wards unit units patient patients
                   people adult adults children person care night every their own those who had].freeze
      NEGATED = /\A(?:the )?(?:no|not|without|never|non)(?:\b|-)/i
      private_constant :GENERIC_WITH, :GENERIC_WITHOUT, :USUAL, :FILLING, :NEGATED

      class << self
        def blank = new(intervention: "", comparison: "")

        # Whether a name stands for no care in particular: "usual care", "control", "no earplugs", "".
        def general?(name) = name.match?(USUAL) || (telling(name) - GENERIC_WITH - GENERIC_WITHOUT).empty?

        # The words of a name that tell it from others, without their endings.
        def telling(name)
          words = name.to_s.downcase.scan(/\p{L}[\p{L}-]*/) - FILLING
          words.map { |word| stem(word) }.reject { |word| word.size < 3 }
        end
      end

      # Raises InputError (:intervention, :comparison).
      def initialize(intervention:, comparison:)
        @intervention, @comparison = [intervention, comparison].map { |name| name.to_s.strip.freeze }
        errors = FieldLengths.errors(to_h, to_h.transform_values { :group })
        raise InputError, errors unless errors.empty?

        freeze
      end

      # The same, with what it leaves open from another Arms.
      def or(other)
        with(**to_h.merge(other.to_h) { |_, own, others| own.empty? ? others : own })
      end

      def blank? = intervention.empty? && comparison.empty?

      # In words: what is compared with what; nil where nothing is said.
      def words
        return if blank?
        return Book.t("close_reading.arms.compared_with_none", intervention:) if comparison.empty?

        Book.t("close_reading.arms.compared_with",
               intervention: intervention.empty? ? Book.t("close_reading.arms.the_intervention") : intervention, comparison:)
      end

      # Names for the two, also where nothing is said.
      def intervention_name = intervention.empty? ? "intervention" : intervention

      def comparison_name
        return comparison unless comparison.empty?

        intervention.empty? ? Book.t("close_reading.arms.comparison") : Book.t("close_reading.arms.none", intervention:)
      end

      # Which arm a group is by its name. Gives :with, :without, :other for neither, nil where the
      # name does not tell.
      def side(name)
        words = telling(name)
        return :without if words.intersect?(GENERIC_WITHOUT)

        own, others = [telling(intervention), telling(comparison)]
        near, far = [words & (own - others), words & (others - own)].map(&:size)
        return (:without if near.positive? || (words - GENERIC_WITH).empty?) if name.match?(NEGATED)
        return near > far ? :with : :without if near != far

        near.positive? ? nil : general(name, words)
      end

      private

      def general(name, words)
        return comparison.empty? || comparison.match?(USUAL) ? :without : :other if name.match?(USUAL)
        return :with if words.intersect?(GENERIC_WITH) || name.strip.casecmp?("with")

        :other unless words.empty? || blank?
      end

      def telling(name) = Arms.telling(name)
    end
  end
end

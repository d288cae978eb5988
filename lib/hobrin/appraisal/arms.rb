# frozen_string_literal: true

module Hobrin
  module Appraisal
    # The two arms that an outcome compares: who is "with" and who is "without". A name in words,
    # either may be empty where nobody has said.
    #
    # with, without :: Strings
    class Arms < Value
      attributes :with, :without

      LONGEST = 120
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

      # outcome :: Outcome; question :: Question. Gives the arms that the outcome names; what it
      # leaves open is taken from the question's intervention and comparison.
      def self.of(outcome, question)
        named = ->(key) { question.elements.find { |element| element.key == key }&.name.to_s[0, LONGEST] }
        new(with: outcome.arms.with.empty? ? named["I"] : outcome.arms.with,
            without: outcome.arms.without.empty? ? named["C"] : outcome.arms.without)
      end

      def self.blank = new(with: "", without: "")

      # Raises InputError (:with, :without).
      def initialize(with:, without:)
        @with, @without = [with, without].map { |name| name.to_s.strip.freeze }
        long = to_h.select { |_, name| name.size > LONGEST }
        raise InputError, long.transform_values { "Keep this to #{LONGEST} characters." } unless long.empty?

        freeze
      end

      def blank? = with.empty? && without.empty?

      # In words: what is compared with what; nil where nothing is said.
      def words
        return if blank?
        return "#{with} compared with no #{with}" if without.empty?

        "#{with.empty? ? "the intervention" : with} compared with #{without}"
      end

      # Names for the two, also where nothing is said.
      def with_name = with.empty? ? "intervention" : with
      def without_name = without.empty? ? (with.empty? ? "comparison" : "without #{with}") : without

      # Which arm a group is by its name. Gives :with, :without, :other for neither, nil where the
      # name does not tell.
      def side(name)
        words = telling(name)
        return :without if words.intersect?(GENERIC_WITHOUT)

        own, others = [telling(with), telling(without)]
        near, far = [words & (own - others), words & (others - own)].map(&:size)
        return (:without if near.positive? || (words - GENERIC_WITH).empty?) if name.match?(NEGATED)
        return near > far ? :with : :without if near != far

        near.positive? ? nil : general(name, words)
      end

      private

      def general(name, words)
        return without.empty? || without.match?(USUAL) ? :without : :other if name.match?(USUAL)
        return :with if words.intersect?(GENERIC_WITH) || name.strip.casecmp?("with")

        :other unless words.empty? || blank?
      end

      # The words of a name that tell it from others, without their endings.
      def telling(name)
        words = name.to_s.downcase.scan(/\p{L}[\p{L}-]*/) - FILLING
        words.map { |word| Arms.stem(word) }.reject { |word| word.size < 3 }
      end
    end
  end
end

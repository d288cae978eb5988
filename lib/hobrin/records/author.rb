# frozen_string_literal: true

module Hobrin
  module Records
    # One author as printed: family name, given name or initials, what comes behind the name ("Jr.")
    # and what stands between the two but does not count in sorting ("de"), and whether the record
    # says that they are a nurse.
    class Author < Value
      # The first letter of each part of a given name.
      INITIAL = /(?<![^\s.-])[^\s.-]/
      private_constant :INITIAL

      attributes :family, :given, :nurse, :suffix, :particle

      def initialize(family:, given: nil, nurse: false, suffix: nil, particle: nil)
        @family = family.frozen? ? family : family.dup.freeze
        @given = given.frozen? ? given : given.dup.freeze
        @nurse = nurse ? true : false
        @suffix = suffix&.dup.freeze
        @particle = particle&.dup.freeze
        freeze
      end

      # "Family AB", as a reference list prints it.
      def short = [family, initials, suffix.to_s].reject(&:empty?).join(" ")

      # "Ludwig van", for formats that have no place for the particle; nil for nothing.
      def given_and_particle
        both = [given, particle].compact.join(" ")
        both unless both.empty?
      end

      def initials = self.class.initials(given)

      # given :: String or nil
      def self.initials(given) = given.to_s.scan(INITIAL).join
    end
  end
end

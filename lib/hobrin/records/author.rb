# frozen_string_literal: true

module Hobrin
  module Records
    # One author as printed: family name, given name or initials, and whether the record says that
    # they are a nurse.
    class Author < Value
      # The first letter of each part of a given name.
      INITIAL = /(?<![^\s.-])[^\s.-]/
      private_constant :INITIAL

      attributes :family, :given, :nurse

      def initialize(family:, given: nil, nurse: false)
        @family = family.frozen? ? family : family.dup.freeze
        @given = given.frozen? ? given : given.dup.freeze
        @nurse = nurse ? true : false
        freeze
      end

      # "Family AB", as a reference list prints it.
      def short = [family, initials].reject(&:empty?).join(" ")

      def initials = given.to_s.scan(INITIAL).join
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Records
    # One author as printed: family name, given name or initials, and whether the record says that
    # they are a nurse.
    class Author < Value
      attributes :family, :given, :nurse

      def initialize(family:, given: nil, nurse: false)
        @family = family.frozen? ? family : family.dup.freeze
        @given = given.frozen? ? given : given.dup.freeze
        @nurse = nurse ? true : false
        freeze
      end

      # "Family AB", as a reference list prints it.
      def short = [family, initials].reject(&:empty?).join(" ")

      def initials = given.to_s.split(/[\s.-]+/).map { |part| part[0] }.join
    end
  end
end

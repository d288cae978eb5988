# frozen_string_literal: true

module Hobrin
  module Strategy
    # Published in these years, both included; an open end is nil. A record without a year is not in.
    class Dates < Value
      attributes :from_year, :to_year

      YEARS = (1800..2200)
      private_constant :YEARS

      # Raises InputError (:from_year, :to_year) when a year is no year, both are missing, or they are
      # the wrong way round.
      def initialize(from_year: nil, to_year: nil)
        @from_year = from_year
        @to_year = to_year
        errors = errors_of(from_year:, to_year:)
        raise InputError, errors unless errors.empty?

        freeze
      end

      def name = :dates

      # Whether a year (Integer or nil) lies within.
      def cover?(year) = !year.nil? && (from_year.nil? || year >= from_year) && (to_year.nil? || year <= to_year)

      private

      def errors_of(years)
        given = years.compact
        return { from_year: "Write at least one year." } if given.empty?

        wrong = given.reject { |_, year| year.is_a?(Integer) && YEARS.cover?(year) }
        return wrong.transform_values { "Write a year such as 2016." } if wrong.any?

        from_year && to_year && from_year > to_year ? { to_year: "This is before #{from_year}." } : {}
      end
    end
  end
end

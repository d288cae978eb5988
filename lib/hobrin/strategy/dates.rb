# frozen_string_literal: true

module Hobrin
  module Strategy
    # Published (or, as :added, taken up by its source) in a span of time, both ends included.
    #
    # name     :: :dates or :added
    # from, to :: ISO 8601, as exact as one likes ("2016", "2016-03", "2016-03-01"); nil for an open
    #   end
    #
    # Where a record's date and an end are not equally exact, they are compared as far as both go: a
    # record that says only "2016" is neither before nor after 2016-03, and is let through by "from
    # 2016-03" and by "to 2016-03". One without a date never is. So before, equal to and after a date
    # part all dated records in three.
    class Dates < Expression
      attributes :name, :from, :to

      NAMES = %i[dates added].freeze
      YEARS = (1800..2200)
      ISO = /\A\d{4}(?:-(?:0[1-9]|1[0-2])(?:-(?:0[1-9]|[12]\d|3[01]))?)?\z/
      private_constant :YEARS, :ISO

      class << self
        # The whole years from one to the other; either may be nil.
        # Raises InputError (:from_year, :to_year) when a year is no year, both are missing, or they
        # are the wrong way round.
        def years(from_year: nil, to_year: nil)
          errors = year_errors({ from_year:, to_year: }.compact)
          raise InputError, errors unless errors.empty?

          new(from: from_year&.to_s, to: to_year&.to_s)
        end

        # Whether a text is a date that can be an end.
        def date?(text) = ISO.match?(text) && YEARS.cover?(text[0, 4].to_i) && real?(text)

        private

        def real?(text) = text.size < 10 || Date.valid_date?(*text.split("-").map(&:to_i))

        def year_errors(given)
          return { from_year: Book.t("strategy.errors.year") } if given.empty?

          wrong = given.reject { |_, year| year.is_a?(Integer) && YEARS.cover?(year) }
          return wrong.transform_values { Book.t("strategy.errors.year_example") } if wrong.any?

          from, to = given.values_at(:from_year, :to_year)
          from && to && from > to ? { to_year: Book.t("strategy.errors.before_from", from: from.to_s) } : {}
        end
      end

      # Raises InputError (:dates) for an end that is no date, for no end at all, or the wrong way
      # round.
      def initialize(name: :dates, from: nil, to: nil)
        ends = [from, to].compact
        unless NAMES.include?(name) && ends.any? && ends.all? { |date| Dates.date?(date) }
          raise InputError, { dates: Book.t("strategy.errors.date_example") }
        end

        @name = name
        @from = from&.dup.freeze
        @to = to&.dup.freeze
        raise InputError, { dates: Book.t("strategy.errors.before", to:, from:) } unless from.nil? || to.nil? || upto?(from)

        freeze
      end

      def slot = name

      # The year of an end as an Integer, or nil.
      def from_year = from && from[0, 4].to_i
      def to_year = to && to[0, 4].to_i

      # Whether a date (ISO 8601 or nil) lies within.
      def cover?(date) = !date.nil? && since?(date) && upto?(date)

      private

      def since?(date) = from.nil? || date[0, from.size] >= from[0, date.size]
      def upto?(date) = to.nil? || date[0, to.size] <= to[0, date.size]
    end
  end
end

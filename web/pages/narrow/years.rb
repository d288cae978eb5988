# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Narrow
        # The papers of each year, and the years that the dates let through.
        class Years
          include Formatting

          # page :: Narrow; dates :: Strategy::Dates that are on or off, or nil
          def initialize(page, dates)
            @page = page
            @dates = dates
          end

          def counts = per_year.counts
          def first = counts.keys.first
          def last = counts.keys.last

          def span
            [@dates&.from_year&.clamp(first, last) || first,
             @dates&.to_year&.clamp(first, last) || last]
          end

          # The two handles: [side, year, name].
          def handles = [[:from, span.first, "From year"], [:to, span.last, "To year"]]

          def words = counts.map { |year, papers| "#{year}: #{papers}" }.join(", ")

          # Years as typed, or as the limit has them.
          def from_year = @page.typed_or(:from_year, @dates&.from_year)
          def to_year = @page.typed_or(:to_year, @dates&.to_year)

          # What dates lose for a reason of their own, nil for nothing.
          def undated
            lost = per_year.undated
            return if lost.zero?

            them = lost == 1 ? "it" : "them"
            "#{count_of(lost, "paper")} without a year: any limit by date loses #{them}."
          end

          private

          def per_year = @per_year ||= @page.reader.per_year
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # The search, line by line, and as one text.
        class Search < Part
          def call
            rows = brief.lines.map do |line|
              [line.number.to_s, line.name, line.rule, number(line.count)]
            end
            section(:search, "The search", words("Counted on #{day(brief.searched_on.iso8601)}.",
                                                 :small),
                    grid("The search", ["", "Line", "Rule", "Papers"], rows),
                    words(brief.cql, :code), *others)
          end

          private

          # Each other catalogue with what it was asked.
          def others
            return [] if brief.elsewhere.empty?

            rows = brief.elsewhere.map { |one| [one.source, day(one.on), number(one.count)] }
            [grid("Other catalogues", %w[Catalogue Asked Found], rows),
             *brief.elsewhere.map { |one| words("#{one.source}: #{one.query}", :code) }]
          end
        end
      end
    end
  end
end

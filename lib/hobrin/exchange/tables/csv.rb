# frozen_string_literal: true

require "csv"

module Hobrin
  module Exchange
    module Tables
      # One table as comma-separated values (RFC 4180), with a line of headings.
      module Csv
        TYPE = "text/csv"

        # sheet :: Sheet; sample :: whether its papers are made up. Gives text.
        def self.call(sheet, sample: false)
          ::CSV.generate do |table|
            table << [*sheet.columns, *("Sample" if sample)]
            sheet.rows.each do |row|
              table << [*row.map { |value| Cells.plain(value) }, *(Report::SAMPLE if sample)]
            end
          end
        end
      end
    end
  end
end

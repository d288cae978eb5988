# frozen_string_literal: true

require "csv"

module Hobrin
  module Demo
    # The made-up headings of the sample library: words that the trade shares, filed in Hobrin's own
    # way. They stand in headings/*.csv, one to a line; a heading that names no aspects takes those
    # of the heading above it.
    module SampleThesaurus
      FILES = File.expand_path("headings/*.csv", __dir__)
      private_constant :FILES

      class << self
        # Gives an Array of Thesaurus::Heading.
        def headings
          rows = Dir[FILES].flat_map do |file|
            CSV.read(file, headers: true, col_sep: "|", liberal_parsing: true).map(&:to_h)
          end
          by_label = rows.to_h { |row| [row["label"], row] }
          rows.map { |row| heading(row, aspects(row, by_label)) }
        end

        private

        def heading(row, aspects)
          Thesaurus::Heading.new(label: row["label"], definition: row["what"].to_s.strip, aspects:,
                                 also_called: list(row["also"]), broader: list(row["under"]),
                                 related: list(row["see"]), added: row["added"].to_s[/\d+/]&.to_i)
        end

        def aspects(row, by_label)
          own = list(row["aspects"])
          above = by_label[list(row["under"]).first]
          own.empty? && above ? aspects(above, by_label) : own
        end

        def list(text) = text.to_s.split(";").map(&:strip).reject(&:empty?)
      end
    end
  end
end

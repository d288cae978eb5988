# frozen_string_literal: true

require "csv"

module Hobrin
  module Exchange
    # Tables for a spreadsheet or a statistics program.
    module Tables
      # A table with numbers as numbers. name :: in words; columns :: Array of texts; rows :: Array
      # of Arrays of texts, Integers, Floats and nils
      class Sheet < Value
        attributes :name, :columns, :rows
      end

      # What a spreadsheet may be given.
      module Cells
        # What it would run as a formula, also behind spaces and signs like them, and in wide
        # letters.
        FORMULA = /\A[[:space:][:cntrl:]\p{Cf}]*[=+\-@＝＋－＠]/
        # What XML cannot hold.
        UNHEARD = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/
        private_constant :FORMULA

        # A text that is only a text there; numbers stay as they are.
        def self.plain(value)
          return value unless value.is_a?(String)

          text = value.gsub(UNHEARD, "")
          text.match?(FORMULA) ? "'#{text}" : text
        end
      end

      # One table as comma-separated values (RFC 4180), with a line of headings.
      module Csv
        TYPE = "text/csv"

        # sheet :: Sheet; sample :: whether its papers are made up. Gives text.
        def self.call(sheet, sample: false)
          ::CSV.generate do |table|
            table << [*sheet.columns, *(Book.t("exports.tables.sample") if sample)]
            sheet.rows.each do |row|
              table << [*row.map { |value| Cells.plain(value) }, *(Report::SAMPLE if sample)]
            end
          end
        end
      end

      # Tables as sheets of one workbook (Office Open XML).
      module Xlsx
        TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"

        class << self
          # sheets :: Array of Sheet; sample :: whether its papers are made up; made :: Date. Gives
          #   bytes.
          def call(sheets, made:, sample: false)
            require "axlsx"
            package = Axlsx::Package.new(author: "Hobrin",
                                         created_at: Time.utc(
                                           made.year, made.month, made.day
                                         ))
            sheets.each do |sheet|
              package.workbook.add_worksheet(name: sheet.name) do |page|
                fill(page, sheet, sample)
              end
            end
            package.to_stream.string
          end

          private

          def fill(page, sheet, sample)
            page.add_row(sheet.columns, style: page.styles.add_style(b: true))
            sheet.rows.each do |row|
              page.add_row(row.map { |value| Cells.plain(value) }, escape_formulas: true,
                                                                   types: row.map { |value| type(value) })
            end
            page.add_row([Report::SAMPLE]) if sample
          end

          def type(value)
            case value
            when Integer then :integer
            when Float then :float
            else :string
            end
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

require "axlsx"

module Hobrin
  module Exchange
    module Tables
      # Tables as sheets of one workbook (Office Open XML).
      module Xlsx
        TYPE = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"

        class << self
          # sheets :: Array of Sheet; sample :: whether its papers are made up; made :: Date. Gives
          #   bytes.
          def call(sheets, made:, sample: false)
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

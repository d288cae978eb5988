# frozen_string_literal: true

require "prawn"
require "prawn/table"

module Hobrin
  module Exchange
    class Report
      module Writers
        # A report as PDF on A4: the page for the ward, alone on the first page, and all behind it.
        class Pdf
          TYPE = "application/pdf"
          MARGIN = 42
          # The page for the ward is written in the largest of these that fits on one page.
          SIZES = [11.5, 11, 10, 9, 8, 7, 6.5, 6, 5.5, 5].freeze
          SIZE = 9
          GREY = "555555"
          private_constant :MARGIN, :SIZES, :SIZE, :GREY

          # fonts :: Hash of :normal, :bold, :italic and :other to paths of TrueType files; `other`
          #   stands in for letters that the others lack
          def initialize(fonts)
            @fonts = fonts
          end

          # report :: Report; ward :: whether only the page for the ward is wanted. Gives bytes.
          def call(report, ward: false)
            size = SIZES.bsearch { |size| written(report, size, ward: true).page_count == 1 } || SIZES.last
            written(report, size, ward:).render
          end

          private

          def written(report, size, ward:)
            document = opened(report)
            PdfSections.new(document, size).call(report.ward, title: report.title,
                                                              sample: report.sample)
            return document if ward || report.behind.empty?

            document.start_new_page
            behind = PdfSections.new(document, SIZE)
            report.behind.each { |section| behind.call(section) }
            document.number_pages("<page> of <total>", at: [document.bounds.right - 60, -14], align: :right, width: 60,
                                                       size: 7, color: GREY)
            document
          end

          def opened(report)
            made = Time.utc(report.made.year, report.made.month, report.made.day)
            document = Prawn::Document.new(page_size: "A4", margin: MARGIN,
                                           info: { Title: report.title, CreationDate: made, Producer: "Hobrin" })
            document.font_families.update("text" => @fonts.slice(:normal, :bold, :italic),
                                          "other" => { normal: @fonts[:other],
                                                       bold: @fonts[:other], italic: @fonts[:other] })
            document.font("text")
            # Kerning and looking each letter up in two fonts take a third of the time.
            document.default_kerning(false)
            document.fallback_fonts(["other"]) if others?(document, report)
            document
          end

          # Whether any letter is missing in the font of the text.
          def others?(document, report)
            return @others if defined?(@others)

            @others = letters(report).any? { |letter| !document.font.glyph_present?(letter) }
          end

          def letters(report)
            texts = [report.title, *report.sections.flat_map { |section| [section.title, *section.blocks.map(&:to_h)] }]
            texts.join.chars.uniq.reject(&:ascii_only?)
          end
        end
      end
    end
  end
end

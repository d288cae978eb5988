# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Writers
        # A report as a Word document (Office Open XML). Pictures are left out: their numbers stand
        # in the tables beside them.
        module Docx
          TYPE = "application/vnd.openxmlformats-officedocument.wordprocessingml.document"
          SIZE = 20
          SMALL = 17
          MARGINS = { left: 60, right: 60, top: 30, bottom: 30 }.freeze
          private_constant :SIZE, :SMALL, :MARGINS

          class << self
            # report :: Report. Gives bytes.
            def call(report)
              require "caracal"
              document = Caracal::Document.new("brief.docx")
              document.page_margins do
                left 900
                right 900
                top 900
                bottom 900
              end
              document.h1(plain(report.title))
              document.p(SAMPLE, italic: true) if report.sample
              report.sections.each { |section| section(document, section) }
              document.render.string
            end

            private

            def section(document, section)
              document.page if section.key == :deliberation
              document.h2(plain(section.title))
              section.blocks.each { |block| block(document, block) }
            end

            def block(document, block)
              case block
              when Words then words(document, block)
              when Grid then grid(document, block)
              when Items then items(document, block.list.map { |item| plain(item) })
              end
            end

            def words(document, block)
              text = plain(block.text)
              case block.as
              when :lead then document.p(text, size: 26, bold: true)
              when :strong then document.h3(text)
              when :small, :code then document.p(text, size: SMALL)
              else document.p(text, size: SIZE)
              end
            end

            def items(document, list)
              document.ul { list.each { |item| li(item, size: SIZE) } }
            end

            # A table whose columns are all of one width.
            def grid(document, block)
              rows = block.rows.map { |row| row.map { |text| plain(text) } }
              named = block.columns.any? { |name| !name.empty? }
              lines = [*([block.columns] if named), *rows]
              # The library takes what it is given apart.
              margins = MARGINS.dup
              document.table(lines, border_size: 4, border_color: "999999") do
                cell_style(self.rows.flatten, size: SMALL, margins:)
                cell_style(self.rows.first, bold: true) if named
              end
              document.p
            end

            def plain(text) = text.gsub(Tables::Cells::UNHEARD, "").gsub(/\s*\n\s*/, "; ")
          end
        end
      end
    end
  end
end

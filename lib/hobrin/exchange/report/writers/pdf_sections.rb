# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Writers
        # Writes sections of a report onto the pages of a PDF, in one size of letters.
        class PdfSections
          LIGHT = "CCCCCC"
          private_constant :LIGHT

          # document :: Prawn::Document; size :: of the letters, in points
          def initialize(document, size)
            @document = document
            @size = size
          end

          # section :: Section; title :: of the whole report, where it begins
          def call(section, title: nil, sample: false)
            heading(title, @size + 5) if title
            @document.text(SAMPLE, size: @size - 1, style: :italic) if sample
            heading(section.title, @size + 3, before: section.blocks.first)
            section.blocks.each_cons(2) { |block, following| block(block, following) }
            block(section.blocks.last, nil)
          end

          private

          # A heading stays with what it stands above.
          def heading(text, size, before: nil)
            needed = before.is_a?(Picture) ? height(before) + (size * 3) : size * 5
            @document.start_new_page if @document.cursor < needed
            @document.move_down(size * 0.6)
            @document.text(text, size:, style: :bold)
            @document.move_down(size * 0.3)
          end

          def block(block, following)
            case block
            when Words then words(block, following)
            when Grid then grid(block)
            when Items then block.list.each do |one|
              @document.text("– #{one}", size: @size, indent_paragraphs: 0)
            end
            when Picture then picture(block)
            end
            @document.move_down(@size * 0.5)
          end

          def words(block, following)
            return heading(block.text, @size + 1, before: following) if block.as == :strong

            sizes = { lead: @size + 3, small: @size - 1, code: @size - 2 }
            style = block.as == :lead ? :bold : :normal
            @document.text(block.text, size: sizes.fetch(block.as, @size), style:)
          end

          def grid(block)
            named = block.columns.any? { |name| !name.empty? }
            rows = [*([block.columns] if named), *block.rows]
            cell_style = { size: @size - 1, borders: [:bottom], border_color: LIGHT, padding: [2, 6, 2, 0] }
            @document.table(rows, header: named, width: @document.bounds.width, cell_style:,
                                  column_widths: widths(block)) do
              row(0).font_style = :bold if named
            end
          end

          # As wide as their texts ask for, none under a tenth of the page.
          def widths(block)
            weights = block.columns.each_index.map do |place|
              [*block.rows.map { |row| row[place].size }, block.columns[place].size].max.clamp(6, 90)**0.7
            end
            floor = weights.sum * 0.07
            weights = weights.map { |weight| [weight, floor].max }
            weights.map { |weight| @document.bounds.width * weight / weights.sum }
          end

          def picture(block)
            @document.start_new_page if @document.cursor < height(block)
            top = @document.cursor
            PdfDrawing.new(@document, top, scale(block)).call(block)
            @document.move_cursor_to(top - height(block))
          end

          # None is wider than the page, and none higher.
          def scale(block)
            [@document.bounds.width / block.width.to_f,
             @document.bounds.height * 0.9 / block.height, @size / 10.5].min
          end

          def height(block) = block.height * scale(block)
        end
      end
    end
  end
end

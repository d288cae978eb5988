# frozen_string_literal: true

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
            document = ward_page(report)
            write_behind(document, report.behind) unless ward || report.behind.empty?
            document.render
          end

          private

          # The document with the page for the ward, in the largest letters in which it is one page.
          def ward_page(report)
            tried = Hash.new { |pages, size| pages[size] = written_for_ward(report, size) }
            fits = ->(size) { tried[size].page_count == 1 }
            # Most fit in the largest, so that is tried before the middle.
            tried[fits.call(SIZES.first) ? SIZES.first : SIZES.bsearch(&fits) || SIZES.last]
          end

          def written_for_ward(report, size)
            document = opened(report)
            Sections.new(document, size).call(report.ward, title: report.title, sample: report.sample)
            document
          end

          def write_behind(document, sections)
            document.start_new_page
            behind = Sections.new(document, SIZE)
            sections.each do |section|
              Deadline.check
              behind.call(section)
            end
            document.number_pages("<page> of <total>", at: [document.bounds.right - 60, -14], align: :right, width: 60,
                                                       size: 7, color: GREY)
          end

          def opened(report)
            require "prawn"
            require "prawn/table"
            made = Time.utc(report.made.year, report.made.month, report.made.day)
            document = Prawn::Document.new(page_size: "A4", margin: MARGIN,
                                           info: { Title: report.title, CreationDate: made, Producer: "Hobrin" })
            document.font_families.update("text" => @fonts.slice(:normal, :bold, :italic),
                                          "other" => { normal: @fonts[:other],
                                                       bold: @fonts[:other], italic: @fonts[:other] })
            document.font("text")
            # Kerning takes a tenth of the time.
            document.default_kerning(false)
            document
          end

          # Writes sections of a report onto the pages of a PDF, in one size of letters.
          class Sections
            LIGHT = "CCCCCC"
            private_constant :LIGHT

            # document :: Prawn::Document; size :: of the letters, in points
            def initialize(document, size)
              @document = document
              @size = size
            end

            # section :: Section; title :: of the whole report, where it begins
            def call(section, title: nil, sample: false)
              in_fonts_for([title, section.title]) { headings(section, title, sample) }
              section.blocks.each_cons(2) { |block, following| block(block, following) }
              block(section.blocks.last, nil)
            end

            private

            # Looking each letter up in two fonts takes a third of the time, so only texts pay for it
            # that have a letter which the first lacks.
            def in_fonts_for(texts)
              letters = texts.join.chars.uniq.reject(&:ascii_only?)
              other = letters.any? { |letter| !@document.font.glyph_present?(letter) }
              @document.fallback_fonts(other ? ["other"] : [])
              yield
            end

            def headings(section, title, sample)
              heading(title, @size + 5) if title
              @document.text(SAMPLE, size: @size - 1, style: :italic) if sample
              heading(section.title, @size + 3, before: section.blocks.first)
            end

            # A heading stays with what it stands above.
            def heading(text, size, before: nil)
              needed = before.is_a?(Picture) ? height(before) + (size * 3) : size * 5
              @document.start_new_page if @document.cursor < needed
              @document.move_down(size * 0.6)
              @document.text(text, size:, style: :bold)
              @document.move_down(size * 0.3)
            end

            def block(block, following)
              in_fonts_for([block.to_h]) { draw(block, following) }
              @document.move_down(@size * 0.5)
            end

            def draw(block, following)
              case block
              when Words then words(block, following)
              when Grid then grid(block)
              when Items then items(block)
              when Picture then picture(block)
              end
            end

            def items(block)
              block.list.each { |item| @document.text("– #{item}", size: @size, indent_paragraphs: 0) }
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
              Drawing.new(@document, top, scale(block)).call(block)
              @document.move_cursor_to(top - height(block))
            end

            # None is wider than the page, and none higher.
            def scale(block)
              [@document.bounds.width / block.width.to_f,
               @document.bounds.height * 0.9 / block.height, @size / 10.5].min
            end

            def height(block) = block.height * scale(block)
          end

          # A picture of a report, drawn on a page of a PDF.
          class Drawing
            BLACK = "1B1B1B"
            WIDTHS = { "strong" => 1.6, "thin" => 0.5, "soft" => 0.5 }.freeze
            DASHES = { "dashed" => [4, 3], "dotted" => [1, 2] }.freeze
            LETTERS = 10
            private_constant :BLACK, :WIDTHS, :DASHES, :LETTERS

            # top :: where its upper edge is, from the bottom; scale :: points for a unit of the
            #   picture
            def initialize(document, top, scale)
              @document = document
              @top = top
              @scale = scale
            end

            # picture :: Picture
            def call(picture)
              picture.shapes.each do |kind, style, places, text|
                text ? words(kind, style, places, text) : shape(kind, style, places)
              end
            end

            private

            def shape(kind, style, places)
              light = %w[thin soft].include?(style)
              @document.stroke_color(light ? "888888" : BLACK)
              @document.fill_color(BLACK)
              @document.line_width((WIDTHS[style] || 0.9) * @scale)
              dashed(style) { drawn(kind, style, places) }
            end

            def dashed(style)
              return yield unless DASHES.key?(style)

              long, space = DASHES.fetch(style)
              @document.dash(long * @scale, space: space * @scale)
              yield
              @document.undash
            end

            def drawn(kind, style, places)
              case kind
              when "box" then finish(style) do
                @document.rectangle(at(*places.first(2)), *places.drop(2).map { |place| place * @scale })
              end
              when "dot" then finish(style) do
                @document.circle(at(*places.first(2)), places.last * @scale)
              end
              when "area" then finish(style) { @document.polygon(*pairs(places)) }
              else along(pairs(places))
              end
            end

            def finish(style)
              yield
              %w[filled solid].include?(style) ? @document.fill : @document.stroke
            end

            def along(points)
              @document.move_to(points.first)
              points.drop(1).each { |point| @document.line_to(point) }
              @document.stroke
            end

            def words(kind, style, places, text)
              left, top = at(*places)
              size = LETTERS * @scale
              left -= @document.width_of(text, size:) if kind == "number"
              @document.fill_color(BLACK)
              @document.draw_text(text, at: [left, top], size:,
                                        style: style == "strong" ? :bold : :normal)
            end

            def pairs(places) = places.each_slice(2).map { |x, y| at(x, y) }
            def at(x, y) = [x * @scale, @top - (y * @scale)]
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

require "erb"

module Hobrin
  module Exchange
    class Report
      module Writers
        # The inside of a report as HTML: no script, no style and no address in it, so that it can
        # stand in a page of Hobrin as well as in a file of its own.
        module Markup
          class << self
            # sections :: Array of Section. Gives safe markup.
            def of(sections) = sections.map { |section| section(section) }.join("\n")

            private

            def section(section)
              blocks = section.blocks.map { |block| block(block) }.join("\n")
              %(<section class="report-#{h section.key}"><h2>#{h section.title}</h2>\n#{blocks}</section>)
            end

            def block(block)
              case block
              when Words then words(block)
              when Grid then grid(block)
              when Items then "<ul>#{block.list.map { |one| "<li>#{h one}</li>" }.join}</ul>"
              when Picture then Drawing.of(block)
              end
            end

            def words(block)
              return "<h3>#{h block.text}</h3>" if block.as == :strong
              return "<pre>#{h block.text}</pre>" if block.as == :code

              %(<p class="report-#{block.as}">#{h block.text}</p>)
            end

            def grid(block)
              head = block.columns.all?(&:empty?) ? "" : "<thead><tr>#{cells(block.columns, "th")}</tr></thead>"
              rows = block.rows.map { |row| "<tr>#{cells(row, "td")}</tr>" }.join("\n")
              %(<div class="report-table" tabindex="0" role="region" aria-label="#{h block.name}"><table>) +
                "#{head}<tbody>#{rows}</tbody></table></div>"
            end

            def cells(row, name)
              row.map { |text| "<#{name}>#{h(text).gsub("\n", "<br>")}</#{name}>" }.join
            end

            def h(text) = ERB::Util.html_escape(text.to_s)
          end
        end
      end
    end
  end
end

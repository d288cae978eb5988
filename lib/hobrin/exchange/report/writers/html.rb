# frozen_string_literal: true

require "erb"

module Hobrin
  module Exchange
    class Report
      module Writers
        # A report as one HTML file that needs nothing else.
        module Html
          TYPE = "text/html"
          # Black and grey on white, so that it also prints.
          STYLES = <<~CSS
            body { font: 16px/1.5 sans-serif; color: #1b1b1b; max-width: 60rem; margin: 2rem auto;
              padding: 0 1rem; }
            h1 { font-size: 1.4rem; }
            h2 { font-size: 1.15rem; margin-top: 2rem; border-bottom: 1px solid #999; }
            .report-lead { font-size: 1.2rem; }
            .report-small, .sample { color: #444; font-size: .9rem; }
            .report-table { overflow-x: auto; }
            table { border-collapse: collapse; width: 100%; font-size: .92rem; }
            th, td { text-align: left; vertical-align: top; padding: .25rem .6rem .25rem 0;
              border-bottom: 1px solid #ccc; }
            pre { white-space: pre-wrap; overflow-wrap: anywhere; }
            svg { max-width: 100%; height: auto; }
            svg * { stroke: #1b1b1b; fill: none; }
            svg text { stroke: none; font: 11px sans-serif; fill: #1b1b1b; }
            .words-strong { font-weight: bold; }
            .shape-filled { fill: #1b1b1b; }
            .shape-alert { stroke-width: 3; fill: #fff; }
            .shape-solid { fill: #000; stroke: none; }
            .shape-soft, .shape-thin { stroke: #999; }
            .shape-dashed { stroke-dasharray: 5 3; }
            .shape-dotted { stroke-dasharray: 1 3; }
            .shape-strong { stroke-width: 2; }
            .shape-open { fill: none; }
            @media print { .report-ward { break-after: page; } }
          CSS
          private_constant :STYLES

          # report :: Report. Gives HTML.
          def self.call(report)
            <<~HTML
              <!doctype html>
              <html lang="en">
              <head>
              <meta charset="utf-8">
              <meta name="viewport" content="width=device-width, initial-scale=1">
              <meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">
              <title>#{h report.title}</title>
              <style>
              #{STYLES}</style>
              </head>
              <body>
              <h1>#{h report.title}</h1>
              #{%(<p class="sample">#{SAMPLE}</p>) if report.sample}
              #{Markup.of(report.sections)}
              </body>
              </html>
            HTML
          end

          def self.h(text) = ERB::Util.html_escape(text)
          private_class_method :h

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
                when Items then "<ul>#{block.list.map { |item| "<li>#{h item}</li>" }.join}</ul>"
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

          # A picture of a report as SVG.
          module Drawing
            class << self
              # picture :: Picture. Gives safe markup.
              def of(picture)
                shapes = picture.shapes.map { |kind, style, places, text| shape(kind, style, places, text) }.join
                %(<svg class="report-picture" role="img" aria-label="#{h picture.name}" ) +
                  %(viewBox="0 0 #{picture.width} #{picture.height}" width="#{picture.width}">#{shapes}</svg>)
              end

              private

              def shape(kind, style, places, text)
                name = %(class="shape-#{style}")
                case kind
                when "line" then "<line #{name} #{attributes(%w[x1 y1 x2 y2], places)}/>"
                when "box" then "<rect #{name} #{attributes(%w[x y width height], places)}/>"
                when "dot" then "<circle #{name} #{attributes(%w[cx cy r], places)}/>"
                when "path" then %(<polyline class="shape-#{style} shape-open" points="#{places.join(" ")}"/>)
                when "area" then %(<polygon #{name} points="#{places.join(" ")}"/>)
                else words(kind, style, places, text)
                end
              end

              def words(kind, style, places, text)
                anchor = kind == "number" ? "end" : "start"
                %(<text class="words-#{style}" #{attributes(%w[x y],
                                                            places)} text-anchor="#{anchor}">#{h text}</text>)
              end

              def attributes(names, places)
                names.zip(places).map { |name, place| %(#{name}="#{place}") }.join(" ")
              end

              def h(text) = ERB::Util.html_escape(text.to_s)
            end
          end
        end
      end
    end
  end
end

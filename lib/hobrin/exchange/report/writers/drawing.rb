# frozen_string_literal: true

require "erb"

module Hobrin
  module Exchange
    class Report
      module Writers
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

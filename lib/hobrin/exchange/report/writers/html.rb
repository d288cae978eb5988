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
        end
      end
    end
  end
end

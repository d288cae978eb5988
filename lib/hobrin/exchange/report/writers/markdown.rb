# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Writers
        # A report as Markdown (CommonMark with tables as on GitHub). Pictures are left out: their
        # numbers stand in the tables beside them.
        module Markdown
          TYPE = "text/markdown"
          # What Markdown would read as a sign of its own.
          SIGNS = /[\\`*_{}\[\]<>#|~&!]/
          private_constant :SIGNS

          class << self
            # report :: Report. Gives text.
            def call(report)
              sections = report.sections.map do |section|
                ["## #{plain(section.title)}", *section.blocks.filter_map { |block| block(block) }].join("\n\n")
              end
              ["# #{plain(report.title)}", *("*#{SAMPLE}*" if report.sample),
               *sections].join("\n\n") << "\n"
            end

            private

            def block(block)
              case block
              when Words then words(block)
              when Grid then grid(block)
              when Items then block.list.map { |item| "- #{plain(item)}" }.join("\n")
              end
            end

            def words(block)
              case block.as
              when :lead then "**#{plain(block.text)}**"
              when :strong then "### #{plain(block.text)}"
              when :code then block.text.lines.map { |line| "    #{line.chomp}" }.join("\n")
              else plain(block.text)
              end
            end

            def grid(block)
              columns = block.columns.map { |name| plain(name) }
              [columns, columns.map { "---" }, *block.rows.map do |row|
                row.map { |text| cell(text) }
              end]
                .map { |row| "| #{row.join(" | ")} |" }.join("\n")
            end

            def cell(text) = text.lines.map { |line| plain(line.chomp) }.join("<br>")

            # One line, with its signs taken as they stand; a line that begins like a list too.
            def plain(text)
              line = text.gsub(/\s*\n\s*/, " ").gsub(SIGNS) { |sign| "\\#{sign}" }
              line.sub(/\A(\d*)([.)+=-])(?=\s|\z)/) { "#{::Regexp.last_match(1)}\\#{::Regexp.last_match(2)}" }
            end
          end
        end
      end
    end
  end
end

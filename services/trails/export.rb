# frozen_string_literal: true

require "csv"

module Hobrin
  module Services
    module Trails
      # The trail as a search log: text to read, CSV for a table, JSON for a program.
      class Export < Service
        TYPES = { "txt" => "text/plain", "csv" => "text/csv", "json" => "application/json" }.freeze
        COLUMNS = %i[number at who step kind change count_before count_after library_version
                     note].freeze
        private_constant :TYPES, :COLUMNS

        # extension :: "txt", "csv" or "json". Raises GoneError for another one, or an unknown
        #   inquiry.
        def call(id, extension)
          type = TYPES.fetch(extension) { raise GoneError, "format" }
          opened = Inquiries::Read.new(@context).call(id)
          lines = @context.inquiries.trail(id).reverse
          Download.new(name: "hobrin-#{id}-log.#{extension}", type:,
                       body: body(extension, opened, lines))
        end

        private

        def body(extension, opened, lines)
          case extension
          when "txt" then text(opened, lines)
          when "csv" then csv(lines)
          when "json" then json(opened, lines)
          end
        end

        def sample? = @context.snapshot.sample?

        def text(opened, lines)
          brief = Act::ReadBrief.new(@context).call(opened)
          reported = report(opened, brief).map { |reported| report_line(reported) }
          [opened.question.text, *(Book.t("exports.search_log.sample") if sample?), library_line, "",
           Book.t("exports.search_log.lines"), *brief.lines.map { |line| search_line(line) }, "",
           Book.t("exports.search_log.cql"), brief.cql, "",
           Book.t("exports.search_log.prisma"), *reported, "",
           Book.t("exports.search_log.changes"), *lines.map { |line| trail_line(line) }].join("\n") << "\n"
        end

        def library_line
          library = @context.snapshot
          Book.t("exports.search_log.library", count: library.size, version: library.version, day: @context.clock.today.iso8601)
        end

        def report(opened, brief) = ReadReport.new(@context).call(opened, brief.lines, brief.cql)

        def report_line(item) = format("%3d  %-30s %s", item.number, item.name, item.text)

        def search_line(line)
          format("%3d  %-44s %8d  %s", line.number, line.name, line.count, line.rule)
        end

        def trail_line(line)
          counts = format("%6d → %-6d", line.count_before, line.count_after)
          [format("%4d  %s  %-6s", line.number, line.at, line.step), counts, line.change,
           *line.note].reject(&:empty?).join("  ")
        end

        def csv(lines)
          CSV.generate do |table|
            table << [*COLUMNS, *("sample" if sample?)]
            lines.each do |line|
              cells = facts(line).values.map { |value| Exchange::Tables::Cells.plain(value) }
              table << [*cells, *(Book.t("exports.search_log.sample") if sample?)]
            end
          end
        end

        def facts(line) = COLUMNS.to_h { |column| [column, line.public_send(column)] }

        def json(opened, lines)
          library = { version: @context.snapshot.version, papers: @context.snapshot.size }
          brief = Act::ReadBrief.new(@context).call(opened)
          named_lines = opened.inquiry.lines.map { |line| { name: line.name, rule: line.rule } }
          trail = lines.map { |line| facts(line) }
          JSON.pretty_generate({ question: opened.question.text, sample: sample?, library:,
                                 cql: brief.cql, lines: brief.lines.map(&:to_h), trail:, named_lines:,
                                 prisma_s: report(opened, brief).map(&:to_h) })
        end
      end
    end
  end
end

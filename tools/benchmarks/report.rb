# frozen_string_literal: true

require "etc"

module Hobrin
  module Tools
    module Benchmarks
      # The measured tables as text, one for each size, how the figures grow from one to the next,
      # and the thesaurus.
      class Report
        # tables :: Array of Run::Table, the smallest library first; names :: Names::Figures
        def initialize(tables, names)
          @tables = tables
          @names = names
        end

        # Gives a String in Markdown.
        def text
          [machine, peers, *@tables.map { |table| one(table) }, *growth, thesaurus].join("\n")
        end

        private

        def machine
          memory = File.read("/proc/meminfo")[/MemTotal:\s+(\d+)/, 1].to_i / 1_048_576.0
          "#{Etc.nprocessors} cores, #{memory.round} GB of memory, Ruby #{RUBY_VERSION}, SQLite #{SQLite3::SQLITE_VERSION}\n"
        end

        def peers
          without = @tables.flat_map(&:lines).none?(&:xapian_ms)
          "Plain SQL, and Xapian's what-ifs, are sampled: some of each kind, multiplied." \
            "#{" Xapian is not on this machine (Debian: ruby-xapian)." if without}\n"
        end

        def one(table)
          rows = table.lines.map do |line|
            peers = [[line.xapian_ms, line.xapian_ratio],
                     [line.plain_ms, line.ratio]].flat_map do |one|
              peer(*one)
            end
            "| #{[line.work, ms(line.ms), *peers, line.note].join(" | ")} |"
          end
          <<~TEXT
            ## #{grouped(table.size)} records

            | work | Hobrin | Xapian | ratio | plain SQL | ratio | |
            | --- | ---: | ---: | ---: | ---: | ---: | --- |
            #{rows.join("\n")}

            Import with everything: #{grouped(table.import.round)} records a second; plain SQL, text alone: #{grouped(table.plain_import.round)}. Serving process: #{table.memory_mb.round} MB at its most. Library file: #{grouped(table.file_mb)} MB.
          TEXT
        end

        def peer(spent, ratio)
          return %w[– –] unless spent

          [ms(spent), "#{ratio < 10 ? ratio.round(1) : grouped(ratio.round)} ×"]
        end

        def growth
          @tables.each_cons(2).map do |small, large|
            times = large.size.fdiv(small.size).round(1)
            rows = small.lines.zip(large.lines).map do |one, two|
              "| #{one.work} | #{(two.ms / one.ms).round(1)} × |"
            end
            <<~TEXT
              ## From #{grouped(small.size)} to #{grouped(large.size)} (#{times} ×)

              | work | takes |
              | --- | ---: |
              #{rows.join("\n")}
              | import, records a second | #{(large.import / small.import).round(2)} × |
              | memory | #{(large.memory_mb / small.memory_mb).round(1)} × |
            TEXT
          end
        end

        def thesaurus
          ways = @names.look_up_ms.map do |way, value|
            "| look-up, #{way}: the slowest of five | #{ms(value)} |"
          end
          <<~TEXT
            ## A thesaurus of #{grouped(@names.headings)} headings and #{grouped(@names.names)} names

            | work | takes |
            | --- | ---: |
            #{ways.join("\n")}
            | reading a line of free typing | #{ms(@names.reading_ms)} |
            | proposing the phrases and the kind of a question of 33 words | #{ms(@names.question_ms)} |
            | making it ready, once for each version | #{ms(@names.build_ms)} |
          TEXT
        end

        def ms(value) = value < 10 ? "#{value.round(1)} ms" : "#{grouped(value.round)} ms"
        def grouped(number) = number.to_s.gsub(/(\d)(?=(\d{3})+\z)/, '\1,')
      end
    end
  end
end

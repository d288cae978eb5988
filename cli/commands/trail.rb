# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin trail INQUIRY
      class Trail < Command
        SUMMARY = "Lists every change of an inquiry with the papers before and after"
        USAGE = "INQUIRY [OPTIONS]"
        EXAMPLES = ["hobrin trail 1", "hobrin trail 1 --format json",
                    "hobrin trail 1 --again"].freeze

        private

        def options(parser)
          parser.on("--again", "run the search again: what is new, and which counts moved") do
            given[:again] = true
          end
          parser.on("--format FORMAT", %w[text json], "text (default) or json") do |format|
            given[:format] = format
          end
        end

        def run(id)
          return again(whole_number(id, "inquiry")) if given[:again]

          lines = Services::Trails::Read.new(context).call(whole_number(id, "inquiry")).reverse
          return json(lines.map { |line| { **line.to_h.except(:facts), change: line.change } }) if given[:format] == "json"

          lines.each do |line|
            @out.puts format("%4d  %s  %-6s %6d → %-6d %s", line.number, line.at, line.step, line.count_before,
                             line.count_after, line.change)
          end
        end

        # Only looks; in the browser it can be written to the trail.
        def again(id)
          outcome = Services::Trails::RunAgain.new(context).call(id)
          return json(facts(outcome)) if given[:format] == "json"

          rerun = outcome.rerun
          @out.puts "#{rerun.before} papers at line #{outcome.base.number}, #{rerun.now} now, " \
                    "#{rerun.fresh.size} of them new to the library"
          outcome.records.each { |record| @out.puts "  new  #{record.id}  #{record.title}" }
          [*rerun.lines, *outcome.trail].each do |moved|
            @out.puts format("%6d → %-6d %s", moved.before, moved.now, moved.name)
          end
        end

        def facts(outcome)
          rerun = outcome.rerun
          { base: outcome.base.number, before: rerun.before, now: rerun.now, fresh: rerun.fresh.size,
            known: rerun.known, new: outcome.records.map(&:id), lines: rerun.lines.map(&:to_h),
            trail: outcome.trail.map(&:to_h) }
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # The evidence table.
        class Papers < Part
          def call
            columns = ["Paper", "Design and level", "What it gives", "In one sentence"]
            section(:papers, "Evidence", grid("Evidence", columns, brief.rows.map { |row| line(row) }))
          end

          private

          def line(row)
            gives = row.results.map { |result| Brief::ResultWords.of(result).to_s }
            made = [row.design&.name || "not weighed yet", row.level&.to_s, moved(row), applies(row)].compact
            [named(row.record), made.join(", "), gives.join("\n"), row.paper&.finding.to_s]
          end

          def moved(row) = ("moved: #{row.paper.graded_why}" if row.paper && row.paper.graded != 0)

          def applies(row) = ("like ours but for #{row.applicability}" if row.applicability)

          def named(record)
            retracted = "RETRACTED: " if record.retracted?
            "#{retracted}#{record.title} #{[record.byline, record.journal,
                                            record.year].compact.join(", ")}"
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # The appraisal of each paper, domain by domain, in words.
        class Appraised < Part
          def call
            groups = Appraisal::Checklists::GROUPS.select { |key, _| appraised.any? { |_, concerns| concerns.key?(key) } }
            rows = appraised.map { |row, concerns| [row.record.short_name, *groups.keys.map { |key| cell(row, concerns, key) }] }
            section(:appraised, "Appraisal of the papers", grid("Appraisal of the papers", ["Paper", *groups.values], rows))
          end

          private

          # [row, concern by group] of each paper that was appraised.
          def appraised
            @appraised ||= brief.rows.select(&:paper).filter_map do |row|
              concerns = row.paper.concern_by_group(material.question.kind)
              [row, concerns] if concerns.any?
            end
          end

          def cell(row, concerns, key)
            word = Appraisal::Checklists::Concern::WORDS[concerns[key]].to_s
            set = row.paper.concerns[key]
            set ? "#{word} (set by a person: #{set.why})" : word
          end
        end
      end
    end
  end
end

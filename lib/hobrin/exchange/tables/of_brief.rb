# frozen_string_literal: true

module Hobrin
  module Exchange
    module Tables
      # The tables of a brief: what was found for each outcome, what each paper gives, and what was
      # measured.
      class OfBrief
        FINDINGS = ["Outcome", "Compared", "Matters", "Papers", "People", "Measure", "Estimate", "Low", "High", "Without of 100",
                    "With of 100", "With, lowest", "With, highest", "Certainty", "In words"].freeze
        PAPERS = ["Id", "Title", "Authors", "Journal", "Year", "Retracted", "Design", "Level", "Outcome", "Numbers",
                  "Effect in words", "Finding"].freeze
        MEASURES = ["Measure", "What it is for", "Day", "Events or value", "Of"].freeze
        private_constant :FINDINGS, :PAPERS, :MEASURES

        # material :: Report::Material
        def initialize(material)
          @material = material
        end

        # Hash of a name (as an address says it) to Sheet.
        def call
          { "findings" => Sheet.new(name: "Findings", columns: FINDINGS, rows: findings),
            "papers" => Sheet.new(name: "Evidence", columns: PAPERS, rows: papers),
            "measures" => Sheet.new(name: "Measures", columns: MEASURES, rows: measures) }
        end

        private

        def findings
          @material.table.rows.zip(@material.table.lines).map do |row, line|
            [line.outcome.name, line.compared, line.matters, line.papers, (row.pool.people if row.pool.people.positive?), line.measure,
             *effect(row), *hundred(row), line.certainty, line.words]
          end
        end

        # [estimate, low, high] as they are told.
        def effect(row)
          told = row.effect or return [nil, nil, nil]
          [told.estimate, told.low, told.high].map { |value| row.pool.measure.told(value).round(4) }
        end

        def hundred(row)
          without, with, *ends = (row.hundred || []).map { |share| (100 * share).round }
          [without, with, ends.min, ends.max]
        end

        def papers
          @material.brief.rows.flat_map do |row|
            told = row.results.map { |one| Brief::ResultWords.of(one) }
            (told.empty? ? [nil] : told).map do |one|
              [*paper(row), one&.outcome, one&.counted, one&.to_s, row.paper&.finding]
            end
          end
        end

        def paper(row)
          record = row.record
          [record.id, record.title, record.authors.map(&:short).join("; "), record.journal, record.year,
           record.retracted? ? "retracted" : nil, row.design&.name, row.level&.number]
        end

        def measures
          @material.acting.measures.flat_map do |measure|
            measure.points.map do |point|
              [measure.name, Brief::Measure::SORTS.fetch(measure.sort), point.day.iso8601,
               point.events, point.of]
            end
          end
        end
      end
    end
  end
end

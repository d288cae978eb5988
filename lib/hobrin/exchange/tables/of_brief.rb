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
        MEASURES = ["Measure", "Outcome for", "Day", "Events or value", "Of"].freeze
        CERTAINTY = ["Outcome", "Certainty", "Reason", "Steps", "Counted", "Numbers", "Set by a person"].freeze
        POOLED = ["Outcome", "Papers", "People", "Model", "Estimator or weights", "Interval", "I²", "I², low", "I², high", "Tau²",
                  "Q", "Q, df", "Q, p", "Prediction, low", "Prediction, high"].freeze
        APPRAISAL = ["Paper", "Domain", "Concern", "Set by a person"].freeze
        private_constant :FINDINGS, :PAPERS, :MEASURES, :CERTAINTY, :POOLED, :APPRAISAL

        # material :: Report::Material
        def initialize(material)
          @material = material
        end

        # Hash of a name (as an address says it) to Sheet.
        def call
          { "findings" => Sheet.new(name: "Findings", columns: FINDINGS, rows: findings),
            "papers" => Sheet.new(name: "Evidence", columns: PAPERS, rows: papers),
            "pooled" => Sheet.new(name: "Pooled", columns: POOLED, rows: pooled),
            "certainty" => Sheet.new(name: "Certainty", columns: CERTAINTY, rows: certainty),
            "appraisal" => Sheet.new(name: "Appraisal", columns: APPRAISAL, rows: appraisal),
            "measures" => Sheet.new(name: "Measures", columns: MEASURES, rows: measures) }
        end

        private

        def findings
          @material.table.rows.zip(@material.table.lines).map do |row, line|
            [line.outcome.name, line.compared, line.matters, line.papers, (row.pool.people if row.pool.people.positive?), line.measure,
             *effect(row), *hundred(row), line.certainty, line.words]
          end
        end

        def pooled
          @material.table.rows.map(&:pool).select(&:pooled).map do |pool|
            one, way = pool.pooled, pool.way
            low, high = pool.spread.i2_interval
            [pool.outcome.name, pool.studies.size, (pool.people if pool.people.positive?),
             way.random? ? "random effects" : "fixed effect", Appraisal::Outcome::Way::MODELS.fetch(way.model),
             "#{way.level} %#{" (Hartung–Knapp)" if one.df}", *[one.i2, low, high, one.tau2, one.q].map { |value| value&.round(4) },
             one.q_df, one.q_p.round(4), *predicted(pool)]
          end
        end

        def predicted(pool)
          (pool.pooled.prediction || [nil, nil]).map { |value| value && pool.measure.told(value).round(4) }
        end

        def certainty
          @material.table.rows.select(&:certainty).flat_map do |row|
            row.certainty.lines.map do |line|
              [row.outcome.name, row.certainty.word, Appraisal::Certainty::DOMAINS.fetch(line.domain), line.steps,
               row.certainty.counts?(line) ? "yes" : "no", line.why, line.judgement&.why]
            end
          end
        end

        def appraisal
          @material.brief.rows.select(&:paper).flat_map do |row|
            row.paper.concern_by_group(@material.question.kind).map do |group, concern|
              [row.record.short_name, Appraisal::Checklists::GROUPS.fetch(group), Appraisal::Checklists::Concern::WORDS.fetch(concern),
               row.paper.concerns[group]&.why]
            end
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
            told = row.results.map { |result| Brief::Words::OfPaper.of(result) }
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

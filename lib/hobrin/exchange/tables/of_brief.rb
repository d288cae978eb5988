# frozen_string_literal: true

module Hobrin
  module Exchange
    module Tables
      # The tables of a brief: what was found for each outcome, what each paper gives, and what was
      # measured.
      class OfBrief
        columns = ->(keys) { Book.names("exports.tables.column", keys).values.freeze }
        FINDINGS = columns.call(%i[outcome compared importance papers people measure estimate low high without with with_low
                                   with_high certainty words])
        PAPERS = columns.call(%i[id title authors journal year retracted design level outcome numbers effect finding])
        MEASURES = columns.call(%i[measure_name type day numerator denominator])
        CERTAINTY = columns.call(%i[outcome certainty domain steps counted reason changed_by])
        POOLED = columns.call(%i[outcome papers people model estimator interval i2 i2_low i2_high tau2 q q_df q_p
                                 prediction_low prediction_high])
        APPRAISAL = columns.call(%i[paper domain risk changed_by_appraiser])
        private_constant :FINDINGS, :PAPERS, :MEASURES, :CERTAINTY, :POOLED, :APPRAISAL

        # material :: Report::Material
        def initialize(material)
          @material = material
        end

        # Hash of a name (as an address says it) to Sheet.
        def call
          { "findings" => Sheet.new(name: Book.t("exports.tables.sheet.findings"), columns: FINDINGS, rows: findings),
            "papers" => Sheet.new(name: Book.t("exports.tables.sheet.evidence"), columns: PAPERS, rows: papers),
            "pooled" => Sheet.new(name: Book.t("exports.tables.sheet.pooled"), columns: POOLED, rows: pooled),
            "certainty" => Sheet.new(name: Book.t("exports.tables.sheet.certainty"), columns: CERTAINTY, rows: certainty),
            "appraisal" => Sheet.new(name: Book.t("exports.tables.sheet.appraisal"), columns: APPRAISAL, rows: appraisal),
            "measures" => Sheet.new(name: Book.t("exports.tables.sheet.measures"), columns: MEASURES, rows: measures) }
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
             way.random? ? Book.t("exports.tables.random") : Book.t("exports.tables.fixed"), Appraisal::Outcome::Way::MODELS.fetch(way.model),
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

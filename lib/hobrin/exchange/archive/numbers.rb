# frozen_string_literal: true

module Hobrin
  module Exchange
    module Archive
      # Every number of an inquiry that can be worked out from the inquiry and the papers that it
      # rests on: what became of the papers, levels and concerns, effects, what outcomes come to
      # and how sure that is, what was measured.
      class Numbers
        # inquiry :: Inquiry; records :: Array of Records::Record that hold every kept paper
        def initialize(inquiry, records)
          @inquiry = inquiry
          @records = records.to_h { |record| [record.id, record] }
          @kind = inquiry.question.kind
        end

        # Gives a Hash of names to Hashes of plain numbers and words.
        def call
          { decisions:, papers: papers.to_h, outcomes: outcomes.to_h, findings: findings.to_h,
            measures: measures.to_h }
        end

        private

        def decisions
          by_verdict = @inquiry.decisions.group_by(&:verdict)
          reasons = by_verdict.fetch(:drop, []).map(&:reason).tally.sort.to_h
          { kept: by_verdict.fetch(:keep, []).size, unsure: by_verdict.fetch(:unsure, []).size,
            dropped: by_verdict.fetch(:drop, []).size, reasons: }
        end

        def papers
          @inquiry.papers.filter_map do |paper|
            record = @records[paper.record_id] or next
            results = paper.reported.to_h { |result| [result.number.to_s, effect(result)] }
            [paper.record_id,
             { level: paper.level(record, @kind).number, concern: paper.concern(@kind), near: paper.near,
               results: }]
          end
        end

        def effect(reported)
          outcome = @inquiry.weighing.outcome(reported.outcome_id)
          return reported.values.to_h if outcome.kind == "test"

          one = reported.effect(outcome.measure)
          one && { effect: one.effect, variance: one.variance }
        end

        def outcomes
          @inquiry.weighing.outcomes.map { |outcome| [outcome.id.to_s, together(pool(outcome))] }
        end

        def pool(outcome)
          entries = @inquiry.weighing.results(outcome.id).filter_map do |paper, reported|
            record = @records[paper.record_id]
            [record, paper, reported] if record && @inquiry.kept_ids.include?(record.id)
          end
          Appraisal::Synthesis.new(outcome, entries, same:, arms: outcome.arms.or(@inquiry.question.arms)).call
        end

        def together(pool)
          certainty = Appraisal::Certainty.of(pool, kind: @kind)
          { papers: pool.studies.size, people: pool.people, traps: pool.open_traps.size, baseline: pool.baseline,
            pooled: pooled(pool.pooled), test: test(pool.tests),
            proposed: certainty && certainty.lines.to_h { |line| [line.domain, line.proposed] } }
        end

        def pooled(pooled)
          pooled&.to_h&.slice(:estimate, :error, :low, :high, :tau2, :q, :q_df, :i2,
                              :prediction, :weights)
        end

        def test(tests)
          tests && { middle: tests.middle, errors: [0, 1].map { |place| Math.sqrt(tests.covariance[place, place]) } }
        end

        # Which of the papers report the same people, by what their abstracts count.
        def same
          @same ||= begin
            reporting = @inquiry.papers.select { |paper| paper.reported.any? }.map(&:record_id)
            passages = @records.slice(*reporting).transform_values { |record| CloseReading::Passage.new(record.abstract) }
            CloseReading::SameStudy.among(passages)
          end
        end

        def findings
          @inquiry.weighing.findings.map do |finding|
            confidence = Appraisal::Finding::Confidence.of(finding, @inquiry.papers, kind: @kind)
            proposed = confidence.lines.to_h { |line| [line.component, line.proposed] }
            [finding.id.to_s, { level: confidence.level, proposed: }]
          end
        end

        def measures
          @inquiry.acting.measures.map do |measure|
            reading = Brief::Measure::Reading.new(measure)
            [measure.id.to_s, { points: measure.points.size, before: reading.before.size, middle: reading.middle,
                                after: Statistics.median(reading.after), sign: reading.sign? }]
          end
        end
      end
    end
  end
end

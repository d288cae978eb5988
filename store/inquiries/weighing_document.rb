# frozen_string_literal: true

module Hobrin
  module Store
    # What was weighed, to and from plain data.
    module WeighingDocument
      class << self
        def dump(weighing)
          { papers: weighing.papers.map { |paper| paper_data(paper) },
            outcomes: weighing.outcomes.map { |outcome| outcome_data(outcome) },
            findings: weighing.findings.map { |finding| finding_data(finding) } }
        end

        # data :: Hash with Symbols for keys. Gives an Appraisal::Weighing.
        def load(data)
          Appraisal::Weighing.new(papers: data[:papers].map { |paper| paper(paper) },
                                  outcomes: data[:outcomes].map { |outcome| outcome(outcome) },
                                  findings: data[:findings].map { |finding| finding(finding) })
        end

        # One paper: see Appraisal::Paper.
        def paper_data(paper)
          reported = paper.reported.map do |one|
            { **one.to_h.except(:outcome_id), outcome: one.outcome_id, allocation: one.allocation.to_h }
          end
          { record: paper.record_id, design: paper.design, reviewed: paper.reviewed,
            answers: paper.answers.transform_values(&:to_h), sentences: paper.sentences, concerns: paper.concerns.transform_values(&:to_h),
            applies: paper.applies, graded: paper.graded, graded_why: paper.graded_why, finding: paper.finding,
            reported: }
        end

        def paper(data)
          Appraisal::Paper.new(
            **data.except(:record),
            record_id: data[:record], applies: data[:applies].transform_values(&:to_sym),
            answers: data[:answers].transform_values { |one| Appraisal::Paper::Answer.new(**one) },
            concerns: data[:concerns].transform_values { |one| Appraisal::Checklists::Concern::Set.new(**one) },
            reported: data[:reported].map { |one| reported(one) }
          )
        end

        private

        def reported(data)
          Appraisal::Reported.new(**data.except(:outcome), outcome_id: data[:outcome],
                                                           allocation: Appraisal::Reported::Allocation.new(**data[:allocation]))
        end

        def outcome_data(outcome)
          { **outcome.to_h, way: outcome.way.to_h, arms: outcome.arms.to_h,
                            judgements: outcome.judgements.transform_values(&:to_h) }
        end

        def finding_data(finding)
          { id: finding.id, text: finding.text,
            support: finding.support.map { |id, voice| { record: id, speaks: voice.speaks, words: voice.words } },
            judgements: finding.judgements.transform_values(&:to_h) }
        end

        def outcome(data)
          Appraisal::Outcome.new(**data, way: Appraisal::Outcome::Way.new(**data[:way]),
                                         arms: CloseReading::Arms.new(**data[:arms]), judgements: judgements(data))
        end

        def finding(data)
          support = data[:support].to_h { |one| [one[:record], Appraisal::Finding::Voice.new(**one.except(:record))] }
          Appraisal::Finding.new(id: data[:id], text: data[:text], support:,
                                 judgements: judgements(data))
        end

        def judgements(data)
          data[:judgements].transform_values { |one| Appraisal::Outcome::Judgement.new(**one) }
        end
      end
    end
  end
end

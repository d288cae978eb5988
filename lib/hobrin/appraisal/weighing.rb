# frozen_string_literal: true

module Hobrin
  module Appraisal
    # All that was weighed for an inquiry: its papers, its outcomes, and what experience studies
    # found.
    #
    # papers :: Array of Paper; outcomes :: Array of Outcome, in the order in which they were named;
    #   findings :: Array of Finding
    class Weighing < Value
      attributes :papers, :outcomes, :findings

      def initialize(papers: [], outcomes: [], findings: [])
        super
      end

      def paper(record_id) = papers.find { |paper| paper.record_id == record_id }
      def outcome(id) = outcomes.find { |outcome| outcome.id == id }
      def finding(id) = findings.find { |finding| finding.id == id }

      # Ids are never given twice while what had one is there.
      def next_outcome = (outcomes.map(&:id).max || 0) + 1
      def next_finding = (findings.map(&:id).max || 0) + 1

      def with_paper(paper)
        with(papers: [*papers.reject { |other| other.record_id == paper.record_id }, paper])
      end

      # With the sheets of another state, and the results that papers give in this one.
      def with_sheets_of(other)
        ids = [*other.papers, *papers].map(&:record_id).uniq
        with(papers: ids.map { |id| other.paper(id)&.with(reported: paper(id)&.reported.to_a) || paper(id).unjudged })
      end

      def with_outcome(outcome) = with(outcomes: put(outcomes, outcome))
      def with_finding(finding) = with(findings: put(findings, finding))
      def without_finding(id) = with(findings: findings.reject { |finding| finding.id == id })

      # Without an outcome and the results that papers give for it.
      def without_outcome(id)
        with(outcomes: outcomes.reject { |outcome| outcome.id == id },
             papers: papers.map { |paper| paper.with(reported: paper.reported.reject { |result| result.outcome_id == id }) })
      end

      # [Paper, Reported] of every result for an outcome.
      def results(outcome_id)
        papers.flat_map do |paper|
          paper.reported.select { |result| result.outcome_id == outcome_id }.map { |result| [paper, result] }
        end
      end

      private

      def put(list, changed)
        return [*list, changed] unless list.any? { |item| item.id == changed.id }

        list.map { |item| item.id == changed.id ? changed : item }
      end
    end
  end
end

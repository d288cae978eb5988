# frozen_string_literal: true

module Hobrin
  # What is left at the end, on one page: the question, the search line by line, the flow of papers,
  # the evidence table, a conclusion and the change plan. Values only; how it looks is decided
  # elsewhere.
  #
  # lines :: Array of SearchLine; cql :: the whole search as one text; flow :: Flow; rows :: Array
  #   of EvidenceRow, strongest first
  # searched_on :: Date on which the counts were taken
  # elsewhere :: Array of Narrowing::State::ExternalSearch, of the other catalogues that were asked
  class Brief < Value
    attributes :question, :lines, :cql, :flow, :rows, :conclusion, :plan, :searched_on, :elsewhere

    def initialize(question:, lines:, cql:, flow:, rows:, conclusion:, plan:, searched_on:, elsewhere: [])
      @question = question
      @lines = lines.freeze
      @cql = cql
      @flow = flow
      @rows = rows.sort_by(&:rank).freeze
      @conclusion = conclusion
      @plan = plan
      @searched_on = searched_on
      @elsewhere = elsewhere.freeze
      @compared = Compared.new(question, rows)
      freeze
    end

    # What the included papers compared: Compared.
    attr_reader :compared

    # One kept paper in the evidence table.
    #
    # record :: Records::Record; paper :: its Appraisal::Paper or nil when not weighed yet
    # level  :: Appraisal::Level or nil; results :: Array of Result, what it gives for outcomes
    class EvidenceRow < Value
      # outcome :: Appraisal::Outcome; reported :: Appraisal::Reported; effect :: Appraisal::Effect
      #   of its four counts, nil for other numbers
      class Result < Value
        attributes :outcome, :reported, :effect
      end

      attributes :record, :paper, :level, :results

      # weighing :: Appraisal::Weighing
      def self.of(record:, weighing:, kind:)
        paper = weighing.paper(record.id)
        results = (paper&.reported || []).map do |reported|
          table = reported.table
          Result.new(outcome: weighing.outcome(reported.outcome_id), reported:, effect: table && Appraisal::Effect.of(table))
        end
        new(record:, paper:, level: paper&.level(record, kind), results:)
      end

      def design = paper && Appraisal::Design.fetch(paper.design)

      # In what it is not about people and things like ours: "people near, comparison far"; nil where
      # it is in everything, or nobody said.
      def applicability
        apart = (paper&.applies || {}).reject { |_, near| near == :same }
        return if apart.empty?

        parts, near = Appraisal::Paper::Applicability::PARTS, Appraisal::Paper::Applicability::NEAR
        apart.map { |part, how| "#{parts.fetch(part).downcase} #{near.fetch(how)}" }.join(", ")
      end

      # Strongest level first, papers without one last, then newest first.
      def rank = [level&.number || 9, -(record.year || 0), record.id]
    end
  end
end

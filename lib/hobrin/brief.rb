# frozen_string_literal: true

module Hobrin
  # What is left at the end, on one page: the question, the search line by line, the flow of papers,
  # the evidence table, a conclusion and the change plan. Values only; how it looks is decided
  # elsewhere.
  #
  # lines :: Array of SearchLine; cql :: the whole search as one text; flow :: Flow; rows :: Array
  #   of EvidenceRow, strongest first
  # searched_on :: Date on which the counts were taken
  # elsewhere :: Array of Narrowing::Elsewhere, of the other catalogues that were asked
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
  end
end

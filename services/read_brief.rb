# frozen_string_literal: true

module Hobrin
  module Services
    # The brief, with every number counted now.
    class ReadBrief
      def initialize(context)
        @context = context
      end

      # standing :: ReadInquiry::Standing. Gives a Brief.
      def call(standing)
        inquiry = standing.inquiry
        search = Brief::SearchLines.new(question: inquiry.question, cascade: standing.cascade,
                                        evaluator: @context.evaluator)
        Brief.new(question: inquiry.question, lines: search.call, cql: search.cql, flow: flow(standing),
                  rows: rows(inquiry),
                  conclusion: inquiry.conclusion, plan: inquiry.plan, searched_on: @context.today)
      end

      # The kept papers as evidence rows, strongest first.
      def rows(inquiry)
        @context.library.records_by_id(inquiry.kept_ids).map do |record|
          Brief::EvidenceRow.of(record:, paper: inquiry.paper(record.id), kind: inquiry.question.kind)
        end.sort_by(&:rank)
      end

      private

      def flow(standing)
        cascade = standing.cascade
        Brief::Flow.of(joined: cascade.joined.size, left: cascade.steps.last&.size || 0,
                       found_ids: @context.library.ids(cascade.final), decisions: standing.inquiry.decisions)
      end
    end
  end
end

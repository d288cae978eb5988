# frozen_string_literal: true

module Hobrin
  module Services
    # The brief, with every number counted now.
    class ReadBrief
      def initialize(context)
        @context = context
      end

      # opened :: OpenInquiry. Gives a Brief.
      def call(opened)
        inquiry = opened.inquiry
        search = Brief::SearchLines.new(question: inquiry.question, cascade: opened.cascade,
                                        evaluator: @context.evaluator)
        Brief.new(question: inquiry.question, lines: search.call, cql: search.cql, flow: flow(opened),
                  rows: rows(inquiry),
                  conclusion: inquiry.conclusion, plan: inquiry.plan, searched_on: @context.today,
                  elsewhere: inquiry.elsewhere)
      end

      # The kept papers as evidence rows, strongest first.
      def rows(inquiry)
        @context.library.records_by_id(inquiry.kept_ids).map do |record|
          Brief::EvidenceRow.of(record:, weighing: inquiry.weighing, kind: inquiry.question.kind)
        end.sort_by(&:rank)
      end

      private

      def flow(opened)
        cascade = opened.cascade
        threaded = @context.library.set(opened.inquiry.threaded_ids) - cascade.found
        Brief::Flow.of(joined: cascade.joined.size, left: cascade.steps.last&.size || 0,
                       threaded_ids: @context.library.ids(threaded),
                       found_ids: @context.library.ids(cascade.final),
                       decisions: opened.inquiry.decisions,
                       doubles: @context.library.duplicates.within(cascade.joined).size,
                       origins: @context.library.origins.counts(cascade.joined.to_a))
      end
    end
  end
end

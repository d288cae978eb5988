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

      # The kept papers as evidence rows, strongest first. ids :: of some of them only
      def rows(inquiry, ids = inquiry.kept_ids)
        weighing, kind = inquiry.weighing, inquiry.question.kind
        rows = @context.library.records_by_id(ids).map { |record| Brief::EvidenceRow.of(record:, weighing:, kind:) }
        rows.sort_by(&:rank)
      end

      private

      def flow(opened)
        cascade = opened.cascade
        threaded = library.set(opened.inquiry.threaded_ids) - cascade.found
        Brief::Flow.of(joined: cascade.joined.size, left: cascade.steps.last&.size || 0,
                       threaded_ids: library.ids(threaded), found_ids: library.ids(cascade.final),
                       decisions: opened.inquiry.decisions, **told(opened))
      end

      # What is said of papers without changing their number.
      def told(opened)
        joined = opened.cascade.joined
        { doubles: library.duplicates.within(joined).size, origins: library.origins.counts(joined.to_a),
          settled: ReadTwice.new(@context, opened.id).settled(opened.inquiry) }
      end

      def library = @context.library
    end
  end
end

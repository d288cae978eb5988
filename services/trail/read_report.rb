# frozen_string_literal: true

module Hobrin
  module Services
    # What the search log says for each item of PRISMA-S, with every number counted now.
    class ReadReport
      def initialize(context)
        @context = context
      end

      # opened :: OpenInquiry; lines :: Array of Brief::SearchLines::Line; cql :: the whole search
      # Gives an Array of Brief::SearchReport::Item.
      def call(opened, lines, cql)
        facts = { **asked(opened), **found(opened), **dated(opened.id), **elsewhere(opened) }
        facts = Brief::SearchReport::Facts.new(lines:, cql:, library:, **facts)
        Brief::SearchReport.new(facts).call
      end

      private

      def library
        { name: "The library of this Hobrin", papers: @context.snapshot.size, version: @context.snapshot.version,
          sample: @context.snapshot.sample? }
      end

      def asked(opened)
        inquiry = opened.inquiry
        on = inquiry.limits.select(&:on)
        filter = on.find { |limit| limit.name == :filter }&.leaf
        { limits: on.reject { |limit| limit.name == :filter }, included: inquiry.included_ids.size - inquiry.threaded_ids.size,
          peer_reviews: inquiry.peer_reviews, rounds: inquiry.rounds, threaded: inquiry.threaded_ids.size,
          filter: filter.is_a?(Strategy::Filters::Filter) ? @context.filters.fetch(filter) : filter,
          findings: ReadNarrow.new(@context, opened).findings.size }
      end

      def found(opened)
        rates = ReadNarrow.new(@context, opened).rates
        { identified: opened.cascade.joined.size, total: opened.final, must_find: rates.known, found: rates.found,
          duplicates: @context.library.duplicates.within(opened.cascade.final).size }
      end

      def elsewhere(opened)
        given = ReadElsewhere.new(@context, opened).given
        { elsewhere: given.map(&:search), given: given.to_h { |one| [one.search.source, [one.given, one.doubles]] } }
      end

      def dated(id)
        trail = @context.inquiries.trail(id)
        runs = trail.select { |line| line.kind == :run_again }.map { |line| Date.parse(line.at) }
        { begun: Date.parse(trail.last.at), counted: @context.today, runs: runs.reverse }
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # What the search log says for each item of PRISMA-S, with every number counted now.
    class ReadReport
      def initialize(context)
        @context = context
      end

      # standing :: ReadInquiry::Standing; lines :: Array of Brief::SearchLine; cql :: the whole search
      # Gives an Array of Brief::SearchReport::Item.
      def call(standing, lines, cql)
        facts = { **asked(standing.inquiry), **found(standing), **dated(standing.saved.id) }
        Brief::SearchReport.new(Brief::SearchReport::Facts.new(lines:, cql:, library:, **facts)).call
      end

      private

      def library
        { name: "The library of this Hobrin", papers: @context.library.size, version: @context.library.version,
          sample: @context.library.sample? }
      end

      def asked(inquiry)
        on = inquiry.limits.select(&:on)
        filter = on.find { |limit| limit.name == :filter }&.leaf
        { limits: on.reject { |limit| limit.name == :filter }, let_in: inquiry.let_in.size,
          filter: filter.is_a?(Strategy::Filter) ? @context.filters.fetch(filter) : filter,
          findings: MendSearch.new(@context).findings(inquiry).size }
      end

      def found(standing)
        rates = ReadNarrow.new(@context).rates(standing)
        { total: standing.final, must_find: rates.known, found: rates.found,
          doubles: @context.library.doubles.within(standing.cascade.final).size }
      end

      def dated(id)
        trail = @context.inquiries.trail(id)
        runs = trail.select { |line| line.change.start_with?(RunAgain::CHANGE) }.map { |line| Date.parse(line.at) }
        { begun: Date.parse(trail.last.at), counted: @context.today, runs: runs.reverse }
      end
    end
  end
end

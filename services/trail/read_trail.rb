# frozen_string_literal: true

module Hobrin
  module Services
    # The trail of an inquiry: its lines, what stood at any of them, and how two of them compare.
    class ReadTrail
      # name :: number of the line, or the name that it was given; says :: the change, or what it is made of
      # line :: Trail::Line, nil for a named one; papers :: RecordSet that its search finds now
      # lines :: Array of Brief::SearchLines::Line, counted now; cql :: the whole search as CQL text
      # records :: the newest of its papers, for a named line, which no step shows
      class Point < Value
        attributes :name, :says, :line, :papers, :lines, :cql, :records

        # Whether the library gives another number now than it gave then.
        def moved? = !line.nil? && papers.size != line.count_after
      end

      # line :: Strategy::Lines::NamedLine; size :: papers that it finds now
      class Named < Value
        attributes :line, :size
      end

      # comparison :: Trail::Comparison; only_one, only_other :: Array of Record, the newest that
      #   only one of them finds
      class Compared < Value
        attributes :comparison, :only_one, :only_other
      end

      MOST_READ = 12
      MOST_LISTED = 60
      private_constant :MOST_READ, :MOST_LISTED

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      # Gives an Array of Trail::Line, the last change first. Raises GoneError.
      def call(id)
        @context.inquiries.find(id)
        @context.inquiries.trail(id)
      end

      # lines :: Array of Trail::Line, the last first. Whether the library is another one than when
      #   that was counted.
      def library_moved?(lines) = lines.first.library_version != @context.snapshot.version

      # The named lines, each counted now: Array of Named. saved :: Store::Inquiries::Saved
      def named(saved)
        trees = trees(saved)
        saved.inquiry.lines.map do |line|
          Named.new(line:, size: @evaluator.count(trees.resolve(line.tree)))
        end
      end

      # What a named line finds. Gives a Point. Raises GoneError.
      def at_name(saved, name)
        line = saved.inquiry.lines.find { |line| line.name == name } or raise GoneError, "line"
        tree = trees(saved).resolve(line.tree)
        papers = @evaluator.call(tree)
        Point.new(name:, says: line.rule, line: nil, papers:, lines: [], cql: Strategy::Cql.write(tree),
                  records: @context.library.newest(papers, limit: MOST_LISTED))
      end

      # Gives a Point. Raises GoneError when there is no such line.
      def at(id, number)
        inquiry = @context.inquiries.state_at(id, number)
        cascade = inquiry.cascade(@evaluator)
        search = Brief::SearchLines.new(question: inquiry.question, cascade:, evaluator: @evaluator)
        line = @context.inquiries.line(id, number)
        Point.new(name: number.to_s, says: line.change, line:, papers: cascade.final, lines: search.call,
                  cql: search.cql, records: [])
      end

      # one, other :: Points; kept_ids :: of the papers that were kept. Gives a Compared.
      def compare(one, other, kept_ids)
        comparison = Trail::Comparison.of(one.papers, other.papers, @context.library.set(kept_ids))
        Compared.new(comparison:, only_one: newest(comparison.only_one),
                     only_other: newest(comparison.only_other))
      end

      private

      def trees(saved) = Surroundings.new(@context, saved).trail.lines(saved.inquiry)
      def newest(set) = @context.library.newest(set, limit: MOST_READ)
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # The trail of an inquiry: its lines, what stood at any of them, and how two of them compare.
    class ReadTrail
      # name :: number of the line, or the name that it was given; says :: the change, or what it is made of
      # line :: Store::Inquiries::TrailLine, nil for a named one; papers :: what its search finds now
      # lines :: Array of Brief::SearchLine, counted now; cql :: the whole search as CQL text
      # records :: the newest of its papers, for a named line, which no step shows
      Point = Struct.new(:name, :says, :line, :papers, :lines, :cql, :records, keyword_init: true) do
        # Whether the library gives another number now than it gave then.
        def moved? = !line.nil? && papers.size != line.count_after
      end

      # line :: Strategy::NamedLine; size :: papers that it finds now
      Named = Struct.new(:line, :size, keyword_init: true)

      # overlap :: Retrieval::Overlap of the two; circles :: Statistics::Circles or nil
      # only_one, only_other :: Array of Record, the newest that only one of them finds
      # kept    :: Retrieval::Overlap of the kept papers that each finds; in_all :: Statistics::Interval around how many such
      #            papers there are in all, nil while both find the same ones: of what both missed that says nothing
      Comparison = Struct.new(:overlap, :circles, :only_one, :only_other, :kept, :in_all, keyword_init: true) do
        # How many that would be kept both missed, by that estimate.
        def missed = [in_all.estimate - (kept.sizes.sum - kept.all), 0].max
      end

      MOST_READ = 12
      MOST_LISTED = 60
      private_constant :MOST_READ, :MOST_LISTED

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      # Gives an Array of Store::Inquiries::TrailLine, the last change first. Raises GoneError.
      def call(id)
        @context.inquiries.find(id)
        @context.inquiries.trail(id)
      end

      # lines :: Array of TrailLine, the last first. Whether the library is another one than when that was counted.
      def library_moved?(lines) = lines.first.library_version != @context.library.version

      # The named lines, each counted now: Array of Named.
      def named(id, inquiry)
        lines = TrailLines.new(@context, id, inquiry)
        inquiry.lines.map { |line| Named.new(line:, size: @evaluator.count(lines.resolve(line.tree))) }
      end

      # What a named line finds. Gives a Point. Raises GoneError.
      def at_name(id, inquiry, name)
        line = inquiry.lines.find { |one| one.name == name } or raise GoneError, "line"
        tree = TrailLines.new(@context, id, inquiry).resolve(line.tree)
        papers = @evaluator.call(tree)
        Point.new(name:, says: line.rule, papers:, lines: [], cql: Strategy::Cql.write(tree),
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

      # one, other :: Points; kept_ids :: of the papers that were kept. Gives a Comparison.
      def compare(one, other, kept_ids)
        overlap = Retrieval::Overlap.of([one.papers, other.papers])
        kept = @context.library.set(kept_ids).then { |set| Retrieval::Overlap.of([one.papers & set, other.papers & set]) }
        in_all = Statistics::Chapman.call(*kept.sizes, kept.all) if kept.sizes.any? { |size| size > kept.all }
        Comparison.new(overlap:, kept:, in_all:, circles: Statistics::Circles.of(overlap.regions),
                       only_one: newest(one.papers - other.papers), only_other: newest(other.papers - one.papers))
      end

      private

      def newest(set) = @context.library.newest(set, limit: MOST_READ)
    end
  end
end

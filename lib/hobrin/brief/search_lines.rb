# frozen_string_literal: true

module Hobrin
  class Brief
    # Writes a search line by line: every term in use, every block, the join, and every limit that
    # is on.
    class SearchLines
      # question :: a Question; cascade :: the Cascade; evaluator :: an Evaluator
      def initialize(question:, cascade:, evaluator:)
        @question = question
        @evaluator = evaluator
        steps, limits = cascade.steps.partition(&:block?)
        @blocks = steps.select(&:on).map(&:source)
        @limits = limits.select(&:on)
        @joined = cascade.joined.size
        @cascade = cascade
        @lines = []
      end

      # Gives a frozen Array of SearchLine, in order; empty when nothing is searched.
      def call
        ends = @blocks.to_h { |block| [block_lines(block), block.operator] }
        add(:join, Book.t("brief.lines.all_blocks"), join_rule(ends), @joined) if ends.size > 1
        @limits.each { |step| limit_line(step) }
        let_in_line if @lines.any? && @cascade.included_ids.any?
        @lines.freeze
      end

      # The whole search as one CQL text; "" when nothing is searched.
      def cql
        tree = Narrowing::State.of(@blocks, @limits.map(&:source), @cascade.included_ids).tree
        tree ? Strategy::Cql.write(tree) : ""
      end

      private

      # "3 and 7 not 9"
      def join_rule(ends)
        joined, taken = ends.partition { |_, operator| operator == :and }.map { |some| some.map(&:first) }
        [joined.join(" and "), *taken].join(" not ")
      end

      # Gives the number of the block's own line.
      def block_lines(block)
        rule = [range(block.in_use), *(range(block.excluded) if block.excluded.any?)].join(Book.t("brief.lines.not"))
        element = @question.element(block.key)
        add(:block, "#{element.letter}: #{element.name}", rule, @evaluator.count(block.tree))
      end

      def range(terms)
        first = @lines.size + 1
        terms.each { |term| add(:term, term.label, Strategy::Cql.write(term.leaf), @evaluator.count(term.leaf)) }
        terms.size == 1 ? Book.t("brief.lines.line", line: first) : Book.t("brief.lines.any_of", first:, last: @lines.size)
      end

      def limit_line(step)
        leaf = step.source.leaf
        add(:limit, Narrowing::AppliedLimit::Wording.named(leaf),
            "#{@lines.size} and #{Strategy::Cql.write(leaf)}", step.size)
      end

      def let_in_line
        trees = Narrowing::State.new(blocks: [], included_ids: @cascade.included_ids).included_trees
        add(:by_hand, Book.t("brief.lines.added"), "#{@lines.size} or #{Strategy::Cql.write(Strategy::AnyOf.of(trees))}",
            @cascade.final.size)
      end

      def add(kind, name, rule, count)
        @lines << Line.new(number: @lines.size + 1, kind:, name:, rule:, count:)
        @lines.size
      end

      # One line of the search as it was run.
      #
      # number :: from 1; kind :: :term, :block, :join, :limit or :by_hand; name :: in words
      # rule   :: as CQL for a term or a limit, and by the numbers of earlier lines for what joins them
      # count  :: papers
      class Line < Value
        attributes :number, :kind, :name, :rule, :count
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Brief
    # Writes a search line by line: every term in use, every block, the join, and every limit that is on.
    class SearchLines
      # question :: a Question; cascade :: the Cascade; evaluator :: an Evaluator
      def initialize(question:, cascade:, evaluator:)
        @question = question
        @evaluator = evaluator
        @blocks, limits = cascade.steps.partition(&:block?)
        @limits = limits.select(&:on)
        @joined = cascade.joined.size
        @lines = []
      end

      # Gives a frozen Array of SearchLine, in order; empty when nothing is searched.
      def call
        ends = @blocks.map { |step| block_lines(step.source) }
        add(:join, "All blocks", ends.join(" and "), @joined) if ends.size > 1
        @limits.each { |step| limit_line(step) }
        @lines.freeze
      end

      # The whole search as one CQL text; "" when nothing is searched.
      def cql
        trees = [*@blocks.map { |step| step.source.tree }, *@limits.map { |step| step.source.leaf }]
        trees.empty? ? "" : Strategy::Cql.write(Strategy::AllOf.of(trees))
      end

      private

      # Gives the number of the block's own line.
      def block_lines(block)
        first = @lines.size + 1
        block.in_use.each { |term| add(:term, term.label, Strategy::Cql.write(term.leaf), @evaluator.count(term.leaf)) }
        name = "#{block.key}: #{@question.element(block.key).name}"
        add(:block, name, first == @lines.size ? "line #{first}" : "any of #{first} to #{@lines.size}",
            @evaluator.count(block.tree))
      end

      def limit_line(step)
        leaf = step.source.leaf
        name = "#{Narrowing::Wording::NAMES.fetch(leaf.name)}: #{Narrowing::Wording.of(leaf)}"
        add(:limit, name, "#{@lines.size} and #{Strategy::Cql.write(leaf)}", step.size)
      end

      def add(kind, name, rule, count)
        @lines << SearchLine.new(number: @lines.size + 1, kind:, name:, rule:, count:)
        @lines.size
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Brief
    # One line of the search as it was run: what, in words and as CQL, and the count.
    class SearchLine < Value
      attributes :name, :cql, :count

      def initialize(name:, cql:, count:)
        @name = name
        @cql = cql
        @count = count
        freeze
      end

      class << self
        # Every term in use, every block, the join and every limit that is on, in order, with counts.
        # question :: a Question; cascade :: the Cascade; evaluator :: an Evaluator
        def of(question:, cascade:, evaluator:)
          blocks, limits = cascade.steps.partition(&:block?)
          lines = blocks.flat_map { |step| block_lines(question, step.source, evaluator) }
          lines << join_line(blocks, cascade) if blocks.size > 1
          lines + limit_lines(limits.select(&:on))
        end

        private

        def block_lines(question, block, evaluator)
          terms = block.in_use.map { |term| line(term.label, term.leaf, evaluator.count(term.leaf)) }
          name = "#{block.letter}: #{question.element(block.letter).name}"
          [*terms, line(name, block.tree, evaluator.count(block.tree))]
        end

        def join_line(blocks, cascade)
          line("All blocks together", Strategy.join(blocks.map(&:source)), cascade.joined.size)
        end

        def limit_lines(steps)
          steps.map do |step|
            leaf = step.source.leaf
            line("#{Narrowing::Wording::NAMES.fetch(leaf.name)}: #{Narrowing::Wording.of(leaf)}", leaf, step.size)
          end
        end

        def line(name, tree, count) = new(name:, cql: Strategy::CqlWriter.call(tree), count:)
      end
    end
  end
end

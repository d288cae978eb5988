# frozen_string_literal: true

module Hobrin
  module Catalogue
    # Makes the Plan of an inquiry's search for one catalogue.
    class Planning
      # cascade :: Narrowing::Cascade; question :: Question; ability :: Ability; evaluator ::
      #   Retrieval::Evaluator
      def initialize(cascade:, question:, ability:, evaluator:)
        steps, limits = cascade.steps.select(&:on).partition(&:block?)
        @blocks = steps.map(&:source)
        @limits = limits.map(&:source)
        @question = question
        @evaluator = evaluator
        @translation = Translation.new(ability:, evaluator:)
        @lines = []
      end

      # Gives a Plan; one without lines when nothing is searched.
      def call
        blocks = @blocks.map { |block| [block_line(block), block.operator] }
        return Plan.new(lines: []) if blocks.empty?

        joined, taken = blocks.partition { |_, operator| operator == :and }
        limits = @limits.map(&:leaf).map { |leaf| own(:limit, Narrowing::Wording.named(leaf), leaf) }
        whole = Narrowing::State.of(@blocks, @limits, []).tree
        add(:whole, "The whole search", @evaluator.count(whole),
            of: [joined.map(&:first) + limits, taken.map(&:first)])
        Plan.new(lines: @lines).composed
      end

      private

      def block_line(block)
        put_in, taken_out = [block.in_use, block.excluded].map do |terms|
          terms.map { |term| own(:term, term.label, term.leaf) }
        end
        element = @question.element(block.key)
        add(:block, "#{element.letter}: #{element.name}", @evaluator.count(block.tree),
            of: [put_in, taken_out])
      end

      def own(kind, name, leaf)
        part = @translation.call(leaf)
        before = @evaluator.call(leaf)
        after = part.became && @evaluator.call(part.became)
        add(kind, name, before.size, there: part.text, notes: part.notes,
                                     wider: after && (after - before).size,
                                     lost: after && (before - after).size)
      end

      def add(kind, name, here, there: "", notes: [], wider: nil, lost: nil, of: nil)
        @lines << Plan::Line.new(number: @lines.size + 1, kind:, name:, here:, there:, notes:,
                                 wider:, lost:, of:)
        @lines.size
      end
    end
  end
end

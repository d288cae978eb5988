# frozen_string_literal: true

module Hobrin
  class Check
    # Whether the blocks say the question, and are joined as they are meant.
    class OfBlocks < Part
      def call = filled.empty? ? [] : [*empty, *alone, *usual, *twice, *nothing_left, *takes_much]

      private

      def empty
        (blocks - filled).map do |block|
          finding(:empty, block.key, left_out(block), block: letter(block))
        end
      end

      def alone
        filled.size == 1 ? [finding(:alone, filled.first.key, block: letter(filled.first))] : []
      end

      def usual
        element = inquiry.question.element("C")
        return [] unless element&.searched?

        advice = Question::Practice.new(inquiry.question, thesaurus).call(element)
        return [] unless advice&.use == :reading

        mended = inquiry.with(question: inquiry.question.with_use("C", :reading))
        [finding(:usual, element.key, mended, name: element.name, rule: advice.text)]
      end

      def twice
        filled.combination(2).flat_map do |one, two|
          shared = one.in_use.map(&:leaf)
          two.in_use.select { |term| shared.include?(term.leaf) }.map do |term|
            mended = crossed_out(two, term, "also in #{letter(one)}")
            finding(:twice, of_term(term), mended,
                    name: term.label, block: letter(one), other: letter(two))
          end
        end
      end

      def nothing_left
        joined = filled.select { |block| block.operator == :and }
        return [] if joined.size < 2 || !cascade.joined.empty?

        smallest = joined.min_by { |block| evaluator.count(block.tree) }
        [finding(:nothing_left, smallest.key, left_out(smallest), block: letter(smallest))]
      end

      def takes_much
        taking = cascade.steps.select { |step| step.block? && step.source.operator == :not }
        taking.select { |step| step.removed.size > step.set.size }.map do |step|
          finding(:takes_much, step.source.key, left_out(step.source), block: letter(step.source))
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Narrowing
    # How the papers thin out: block by block, then limit by limit, in the person's order. The removals
    # add up to the difference of the two ends. A limit that is off, and an empty block, let all through.
    #
    # steps :: Array of Step; joined :: the RecordSet of all blocks together; final :: after all limits
    #
    #   cascade = Cascade.of(blocks:, limits:, evaluator:)
    #   cascade.steps.map(&:size) # => [220, 48, 40, 31]
    class Cascade < Value
      attributes :steps, :joined, :final

      # source  :: the Strategy::Block or PlacedLimit that this step stands for
      # set     :: the RecordSet left after it; removed :: the RecordSet that it took away
      Step = Struct.new(:source, :set, :removed, :on, keyword_init: true) do
        def size = set.size
        def block? = source.is_a?(Strategy::Block)
      end

      class << self
        # blocks :: Array of Strategy::Block in use; limits :: Array of PlacedLimit; evaluator :: an Evaluator
        def of(blocks:, limits:, evaluator:)
          sets = blocks.select(&:tree).map { |block| [block, evaluator.call(block.tree), true] }
          passes = limits.map { |limit| [limit, evaluator.call(limit.leaf), limit.on] }
          steps = walk(sets + (sets.empty? ? [] : passes))
          new(steps:, joined: steps.select(&:block?).last&.set || Records::RecordSet.empty,
              final: steps.last&.set || Records::RecordSet.empty)
        end

        private

        def walk(stages)
          left = nil
          stages.map do |source, set, on|
            before = left
            left = before.nil? ? set : (on ? before & set : before)
            Step.new(source:, set: left, removed: before ? before - left : Records::RecordSet.empty, on:)
          end
        end
      end

      # The set after every limit that is on, but one; what a change of that one would work on.
      def without(name, evaluator)
        steps.reject(&:block?).map(&:source).select { |limit| limit.on && limit.name != name }
             .reduce(joined) { |set, limit| set & evaluator.call(limit.leaf) }
      end
    end
  end
end

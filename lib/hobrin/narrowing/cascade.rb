# frozen_string_literal: true

module Hobrin
  module Narrowing
    # How the papers thin out: block by block, then the blocks that are taken away, then limit by
    # limit, in the person's order; at the end the papers that the person let in by hand. The
    # removals add up to the difference of the two ends of the steps. A limit that is off and a
    # block that is left out let all through; an empty block is no step.
    #
    # steps :: Array of Step; joined :: the RecordSet of all blocks together
    # included_ids :: as the inquiry has them; included :: the RecordSet of those papers; final ::
    #   after all
    #
    #   cascade = Cascade.of(blocks:, limits:, evaluator:)
    #   cascade.steps.map(&:size) # => [220, 48, 40, 31]
    class Cascade < Value
      attributes :steps, :joined, :included_ids, :included, :final

      # source  :: the Strategy::Block or AppliedLimit that this step stands for
      # set     :: the RecordSet left after it; removed :: the RecordSet that it took away
      class Step < Value
        attributes :source, :set, :removed, :on

        def size = set.size
        def block? = source.is_a?(Strategy::Block)
      end

      class << self
        # blocks :: Array of Strategy::Block, each joined as it says; limits :: Array of AppliedLimit
        # included_ids :: ids of papers; evaluator :: an Evaluator
        def of(blocks:, limits:, evaluator:, included_ids: [])
          steps = walk(stages(blocks.select(&:tree), limits, evaluator))
          by_hand = steps.empty? ? Records::RecordSet.empty : by_hand(included_ids, evaluator)
          new(steps:, joined: steps.select(&:block?).last&.set || Records::RecordSet.empty, included_ids:,
              included: by_hand, final: (steps.last&.set || Records::RecordSet.empty) | by_hand)
        end

        private

        def by_hand(ids, evaluator)
          Records::RecordSet.union(ids.map { |id| evaluator.call(Strategy::Identifier.read(id)) })
        end

        # Each with what it does to the papers left before it; none when no block is joined.
        def stages(blocks, limits, evaluator)
          by_join = blocks.group_by(&:operator)
          return [] unless by_join.key?(:and)

          ordered = by_join.values_at(:and, :not, :out).compact.flatten
          [*ordered.map { |block| [block, evaluator.call(block.tree), block.operator] },
           *limits.map { |limit| [limit, evaluator.call(limit.leaf), limit.on ? :and : :out] }]
        end

        def walk(stages)
          left = nil
          stages.map do |source, set, way|
            before = left
            left = before ? after(before, set, way) : set
            Step.new(source:, set: left,
                     removed: before ? before - left : Records::RecordSet.empty, on: way != :out)
          end
        end

        def after(before, set, way)
          case way
          when :and then before & set
          when :not then before - set
          when :out then before
          end
        end
      end

      # What the search finds by itself, without the papers let in by hand.
      def found = steps.last&.set || Records::RecordSet.empty

      # The source of the first step that keeps a paper out; nil for one that is left. number :: of
      # the record
      def kept_out_by(number)
        return if final.include?(number)

        steps.find { |step| step.on && !step.set.include?(number) }&.source
      end

      # The set after every limit that is on, but one; what a change of that one would work on.
      def without(slot, evaluator)
        steps.reject(&:block?).map(&:source).select { |limit| limit.on && limit.slot != slot }
             .reduce(joined) { |set, limit| set & evaluator.call(limit.leaf) }
      end

      # Why a paper is not in the result: the step of the cascade that dropped it, and every step that
      # would.
      #
      # step :: the first Cascade::Step that lacks it, nil when the result has it
      # all  :: the steps that do not let it through, each by itself, in order
      class ExclusionReasons < Value
        attributes :step, :all

        # cascade :: Cascade; number :: of the record; evaluator :: Evaluator
        def self.of(cascade, number, evaluator)
          return new(step: nil, all: []) if cascade.final.include?(number)

          all = cascade.steps.select do |step|
            step.on && evaluator.call(tree(step)).include?(number) == excluding?(step)
          end
          new(step: cascade.steps.find { |step| !step.set.include?(number) }, all:)
        end

        def self.tree(step) = step.block? ? step.source.tree : step.source.leaf
        def self.excluding?(step) = step.block? && step.source.operator == :not
        private_class_method :tree, :excluding?
      end
    end
  end
end

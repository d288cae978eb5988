# frozen_string_literal: true

module Hobrin
  module Retrieval
    # The ways in which one heading can be searched, each with what it would find: known before it is chosen.
    module HeadingChoices
      # leaf :: the Strategy::Heading it would be; size :: what the term would find; block :: what its block would
      # chosen :: whether it is so now
      Choice = Struct.new(:name, :leaf, :size, :block, :chosen, keyword_init: true)

      class << self
        # leaf :: Strategy::Heading; block :: the Strategy::Block; term :: the Term it stands for, nil for a new one
        # Gives an Array of Choice: with narrower headings (when there are any), main topic, then each allowed aspect.
        def call(leaf, block, term, evaluator)
          heading = evaluator.thesaurus.heading(leaf.label) or return []
          whole = whole_with(block, term, evaluator)
          [*narrower(leaf, evaluator), ["as a main topic only", leaf.with(main: !leaf.main), leaf.main],
           *aspects(leaf, heading)].map do |name, changed, chosen|
            set = evaluator.call(changed)
            Choice.new(name:, leaf: changed, chosen:, size: set.size, block: whole.call(set))
          end
        end

        private

        def narrower(leaf, evaluator)
          below = evaluator.thesaurus.with_narrower(leaf.label).size - 1
          below.zero? ? [] : [["with its #{below} narrower", leaf.with(narrower: !leaf.narrower), leaf.narrower]]
        end

        def aspects(leaf, heading)
          heading.aspects.map do |aspect|
            chosen = leaf.aspects.include?(aspect)
            [aspect, leaf.with(aspects: chosen ? leaf.aspects - [aspect] : leaf.aspects | [aspect]), chosen]
          end
        end

        # What the block finds when the term finds a set: the rest of it is worked out once.
        def whole_with(block, term, evaluator)
          return ->(_) { evaluator.count(block.tree) } if term && !term.in_use?

          others = (block.in_use - [term]).map(&:leaf)
          rest = others.empty? ? Records::RecordSet.empty : evaluator.call(Strategy::AnyOf.of(others))
          taken = Records::RecordSet.union(block.taking.map { |one| evaluator.call(one.leaf) })
          ->(set) { ((rest | set) - taken).size }
        end
      end
    end
  end
end

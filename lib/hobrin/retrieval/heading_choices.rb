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
          [*narrower(leaf, evaluator), ["as a main topic only", leaf.with(main: !leaf.main), leaf.main],
           *aspects(leaf, heading)].map do |name, changed, chosen|
            Choice.new(name:, leaf: changed, chosen:, size: evaluator.count(changed),
                       block: whole(block, term, changed, evaluator))
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

        def whole(block, term, leaf, evaluator)
          changed = if term then block.replace(term.id) { term.with(leaf:) }
                    else block.with(terms: [*block.terms, Strategy::Term.new(id: 0, leaf:)])
                    end
          evaluator.count(changed.tree)
        end
      end
    end
  end
end

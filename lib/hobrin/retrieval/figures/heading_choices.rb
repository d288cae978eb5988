# frozen_string_literal: true

module Hobrin
  module Retrieval
    # The ways in which one heading can be searched, each with what it would find: known before it
    # is chosen.
    module HeadingChoices
      # key  :: :narrower, :main, or the name of an aspect; name :: in words
      # leaf :: the Strategy::Heading it would be; size :: what the term would find
      # chosen :: whether it is so now
      class Choice < Value
        attributes :key, :name, :leaf, :size, :chosen
      end

      class << self
        # leaf :: Strategy::Heading. Gives an Array of Choice: with narrower headings (when there
        #   are any), main topic, then
        # each allowed aspect.
        def call(leaf, evaluator)
          return [] unless evaluator.thesaurus.heading(leaf.label)

          [*narrower(leaf, evaluator), [:main, "as a main topic only", leaf.with(main: !leaf.main), leaf.main],
           *aspects(leaf, evaluator.thesaurus)].map do |key, name, changed, chosen|
            Choice.new(key:, name:, leaf: changed, chosen:, size: evaluator.count(changed))
          end
        end

        private

        def narrower(leaf, evaluator)
          below = evaluator.thesaurus.with_narrower(leaf.label).size - 1
          return [] if below.zero?

          [[:narrower, "with its #{below} narrower", leaf.with(narrower: !leaf.narrower),
            leaf.narrower]]
        end

        def aspects(leaf, thesaurus)
          thesaurus.aspects(leaf.label, narrower: leaf.narrower).map do |aspect|
            chosen = leaf.aspects.include?(aspect)
            [aspect, aspect,
             leaf.with(aspects: chosen ? leaf.aspects - [aspect] : leaf.aspects | [aspect]), chosen]
          end
        end
      end
    end
  end
end

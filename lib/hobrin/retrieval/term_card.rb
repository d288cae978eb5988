# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What is shown of one term, or of one heading before it is added.
    #
    # key   :: of the block; term :: Strategy::Block::Term, nil for a heading that is not in the block;
    #   leaf :: what it searches
    # heading :: Thesaurus::Heading or nil; place :: HeadingPlace or nil; choices :: of HeadingChoices
    # synonyms :: Array of Synonyms::Synonym; expansion :: TruncationExpansion of a masked term, or nil
    # first, last :: whether the term stands first or last in its block
    class TermCard < Value
      attributes :key, :term, :leaf, :heading, :place, :choices, :synonyms, :expansion, :first,
                 :last

      class << self
        # block :: Strategy::Block; term :: one of its terms
        def of_term(block, term, evaluator)
          first, last = block.terms.values_at(0, -1).map { |edge| edge == term }
          card(block, term, term.leaf, evaluator, first:, last:)
        end

        # label :: of a heading of the thesaurus, in the block or not
        def of_heading(block, label, evaluator)
          held = block.terms.find { |term| term.heading? && term.label == label }
          return of_term(block, held, evaluator) if held

          card(block, nil, Strategy::Heading.of(label, evaluator.thesaurus), evaluator,
               first: false, last: false)
        end

        private

        def card(block, term, leaf, evaluator, **rest)
          heading = leaf.is_a?(Strategy::Heading) ? evaluator.thesaurus.heading(leaf.label) : nil
          choices = heading ? HeadingChoices.call(leaf, evaluator) : []
          of = term || Strategy::Block::Term.new(id: 0, leaf:)
          new(key: block.key, term:, leaf:, heading:, choices:,
              place: heading && HeadingPlace.of(heading.label, evaluator),
              synonyms: Synonyms.new(evaluator).call(of, block), expansion: expansion(leaf, evaluator), **rest)
        end

        def expansion(leaf, evaluator)
          TruncationExpansion.of(leaf, evaluator) if leaf.is_a?(Strategy::TextTerm) && leaf.masked?
        end
      end

      # Where a heading sits, with how many records each heading there finds (its narrower ones
      # included).
      #
      # paths    :: one for each branch: Array of [label, size], from the top down to the heading itself
      # narrower :: Array of [label, size] directly below it; related :: the same for related headings
      class HeadingPlace < Value
        attributes :label, :paths, :narrower, :related

        # label :: of a heading of the evaluator's thesaurus
        def self.of(label, evaluator)
          thesaurus = evaluator.thesaurus
          counted = ->(labels) { labels.map { |label| [label, evaluator.count(Strategy::Heading.new(label: label))] } }
          new(label:, paths: thesaurus.places(label).map(&counted), narrower: counted.call(thesaurus.children(label)),
              related: counted.call(thesaurus.related(label)))
        end
      end

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

            [*narrower(leaf, evaluator), [:main, Book.t("strategy.heading.main_topic_only"), leaf.with(main: !leaf.main), leaf.main],
             *aspects(leaf, evaluator.thesaurus)].map do |key, name, changed, chosen|
              Choice.new(key:, name:, leaf: changed, chosen:, size: evaluator.count(changed))
            end
          end

          private

          def narrower(leaf, evaluator)
            below = evaluator.thesaurus.with_narrower(leaf.label).size - 1
            return [] if below.zero?

            [[:narrower, Book.t("strategy.heading.include_narrower", count: below), leaf.with(narrower: !leaf.narrower),
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
end

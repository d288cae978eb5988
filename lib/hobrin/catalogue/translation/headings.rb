# frozen_string_literal: true

module Hobrin
  module Catalogue
    class Translation
      # A heading: as it is, as subjects one by one, or as its names in words.
      class Headings
        # Names and narrower headings at most that one heading is spelled out in.
        MOST = 60
        NO_ASPECTS = Book.t("catalogue.note.no_subheadings")
        private_constant :MOST, :NO_ASPECTS

        def initialize(ability, thesaurus, words)
          @ability = ability
          @thesaurus = thesaurus
          @words = words
        end

        # leaf :: Strategy::Heading. Gives a Part.
        def call(leaf)
          return Part.same(leaf) if known?(leaf)
          return Part.left_out(NO_ASPECTS) if leaf.label == Strategy::Heading::ANY

          @ability.index?("dc.subject") ? subjects(leaf) : names(leaf)
        end

        private

        def known?(leaf)
          asked = { "hobrin.narrower" => leaf.narrower, "hobrin.main" => leaf.main,
                    "hobrin.aspect" => leaf.aspects.any? }
          needed = asked.select { |_, on| on }.keys
          @ability.index?("dc.subject") && needed.all? { |name| @ability.modifier?(name) }
        end

        def subjects(leaf)
          labels = labels(leaf)
          parts = labels.first(MOST).map { |label| Part.same(Strategy::Heading.new(label:, narrower: false)) }
          below = Book.t("catalogue.note.narrower", headings: parts.size) if parts.size > 1
          joined(parts, [*lost(leaf), *below, *too_many(labels)])
        end

        def names(leaf)
          all = labels(leaf).flat_map { |label| @thesaurus.heading(label)&.names || [label] }.uniq
          parts = all.first(MOST).filter_map { |name| words(name) }
          return Part.left_out(Book.t("catalogue.note.no_name")) if parts.empty?

          said = Book.t("catalogue.note.as_words", names: parts.size)
          joined(parts, [said, *lost(leaf), *too_many(all)])
        end

        def words(name)
          @words.call(Strategy::TextTerm.read(name.gsub(/[*?]/, " ")))
        rescue InputError
          nil
        end

        def joined(parts, notes)
          Joined.call(parts, "or") { |trees| Strategy::AnyOf.of(trees) }.with_notes(notes)
        end

        def labels(leaf) = leaf.narrower ? @thesaurus.with_narrower(leaf.label) : [leaf.label]

        def lost(leaf)
          [*(Book.t("catalogue.note.main_topic_or_not") if leaf.main),
           *(Book.t("catalogue.note.any_subheading", names: leaf.aspects.join(", ")) if leaf.aspects.any?)]
        end

        def too_many(all) = all.size > MOST ? [Book.t("catalogue.note.first_of", most: MOST, all: all.size)] : []
      end
    end
  end
end

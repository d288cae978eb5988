# frozen_string_literal: true

module Hobrin
  class Check
    # Headings that are missing, doubled, or searched too narrowly.
    class OfHeadings < Part
      MOST_ASPECTS = 3
      private_constant :MOST_ASPECTS

      def call
        each_term(Strategy::Heading).flat_map { |block, term| of_one(block, term) } + missing + without_words
      end

      private

      def of_one(block, term)
        unless thesaurus.heading(term.label)
          return [finding(:gone, of_term(term), crossed_out(block, term, "no heading any more"),
                          name: term.label)]
        end

        [replaced(block, term), unused(block, term), covered(block, term), not_below(block, term), main(block, term),
         aspects(block, term)].compact
      end

      # A heading that others took the place of, none of which is in the block.
      def replaced(block, term)
        instead = thesaurus.heading(term.label).use_instead
        return if instead.empty? || block.in_use.any? { |other| other.heading? && instead.include?(other.label) }

        leaf = Strategy::Heading.of(instead.first, thesaurus)
        finding(:replaced, of_term(term), added(block, leaf),
                name: term.label, instead: instead.first)
      end

      def unused(block, term)
        return unless evaluator.call(term.leaf).empty?

        finding(:unused, of_term(term), crossed_out(block, term, "finds nothing"), name: term.label)
      end

      def covered(block, term)
        above = block.in_use.find { |other| other != term && covers?(other, term.leaf) } or return

        mended = crossed_out(block, term, "inside #{above.label}")
        finding(:covered, of_term(term), mended, name: term.label, above: above.label)
      end

      # Whether a term finds all that a heading can find.
      def covers?(other, leaf)
        return false unless other.heading? && other.label != leaf.label && other.leaf.narrower
        return false if other.leaf.main || other.leaf.aspects.any?

        thesaurus.with_narrower(other.label).include?(leaf.label)
      end

      def not_below(block, term)
        return if term.leaf.narrower || !thesaurus.narrower?(term.label)

        below = thesaurus.with_narrower(term.label).size - 1
        finding(:not_below, of_term(term), changed(block, term, term.leaf.with(narrower: true)),
                name: term.label, below:)
      end

      def main(block, term)
        return unless term.leaf.main

        finding(:main, of_term(term), changed(block, term, term.leaf.with(main: false)),
                name: term.label)
      end

      def aspects(block, term)
        size = term.leaf.aspects.size
        return unless size > MOST_ASPECTS

        finding(:aspects, of_term(term), changed(block, term, term.leaf.with(aspects: [])),
                name: term.label, size:)
      end

      # Words that are the name of a heading that the block does not have.
      def missing
        each_term(Strategy::TextTerm).filter_map do |block, term|
          heading = thesaurus.named(term.leaf.text) unless term.leaf.masked?
          next if heading.nil? || block.terms.any? { |other| holds?(other, heading) }

          leaf = Strategy::Heading.of(heading.label, thesaurus)
          finding(:missing, of_term(term), added(block, leaf),
                  name: term.label, heading: heading.label)
        end
      end

      # Also one that was crossed out, or that stands for something broader or narrower: that was a
      # choice.
      def holds?(term, heading)
        term.heading? && [thesaurus.with_narrower(term.label).include?(heading.label),
                          thesaurus.with_narrower(heading.label).include?(term.label)].any?
      end

      def without_words
        filled.select { |block| block.in_use.all?(&:heading?) }.map do |block|
          name = Text::Tokens.line(block.in_use.first.label)
          mended = added(block, Strategy::TextTerm.new(text: name))
          finding(:without_words, block.key, mended, block: letter(block), name:)
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Check
    # Words that find too much, too little, or are spelled one way only.
    class OfWords < Part
      def call = each_term(Strategy::TextTerm).flat_map { |block, term| of_one(block, term) }

      private

      def of_one(block, term)
        return [nothing(block, term)] if evaluator.call(term.leaf).empty?

        [wild(block, term), no_use(block, term), titles(block, term),
         *other_ways(block, term)].compact
      end

      def nothing(block, term)
        near = near_spelling(term.leaf)
        mended = near && changed(block, term, near)
        return finding(:slip, of_term(term), mended, name: term.label, near: near.text) if near

        finding(:nothing, of_term(term), crossed_out(block, term, "finds nothing"),
                name: term.label)
      end

      # A word of the thesaurus that is spelled nearly so and that papers have; nil for none.
      def near_spelling(leaf)
        return if leaf.masked? || leaf.phrase?

        found = thesaurus.spelling(leaf.text)
        leaf.with(text: found) if found && evaluator.index.occurs?(found)
      end

      def wild(block, term)
        taken = Retrieval::TruncationExpansion.of(term.leaf, evaluator)
        return unless taken.wild?

        mended = crossed_out(block, term, "takes in #{taken.size} spellings")
        finding(:wild, of_term(term), mended, name: term.label, size: taken.size)
      end

      def no_use(block, term)
        remark = Question::NoUse.call(term.leaf.text.delete("*?"), thesaurus).first or return

        mended = crossed_out(block, term, "no use as a search word")
        finding(:no_use, of_term(term), mended, words: remark.words, reason: remark.reason)
      end

      def titles(block, term)
        return unless term.leaf.fields == [:title]

        anywhere = term.leaf.with(fields: Strategy::TextTerm::TEXT)
        finding(:titles, of_term(term), changed(block, term, anywhere), name: term.label)
      end

      # Another spelling, or the other number, that brings papers.
      def other_ways(block, term)
        ways = Retrieval::Synonyms.new(evaluator).call(term, block)
        ways.select do |way|
          way.adds.positive? && %i[spelling number].include?(way.kind)
        end.map do |way|
          adds = "#{way.adds} #{way.adds == 1 ? "paper" : "papers"}"
          finding(:other_way, of_term(term), added(block, way.leaf),
                  way: way.leaf.text, name: term.label, adds:)
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Check
    # Words that find too much, too little, or are spelled one way only.
    class OfWords < Part
      NOTHING = "finds nothing"
      private_constant :NOTHING

      def call
        [*each_term(Strategy::TextTerm).flat_map { |block, term| of_one(block, term) }, *nothing, *found_nothing]
      end

      private

      def of_one(block, term)
        return [*slip(block, term)] if evaluator.call(term.leaf).empty?

        [wild(block, term), no_use(block, term), titles(block, term),
         *other_ways(block, term)].compact
      end

      def slip(block, term)
        near = near_spelling(term.leaf) or return
        finding(:slip, of_term(term), changed(block, term, near), name: term.label, near: near.text)
      end

      # All terms that find nothing here, in one finding.
      def nothing
        found = each_term(Strategy::TextTerm).select do |_, term|
          evaluator.call(term.leaf).empty? && near_spelling(term.leaf).nil?
        end
        return [] if found.empty?

        mended = found.reduce(inquiry) do |now, (block, term)|
          now.with_block(now.block(block.key).replace(term.id) { |changed| changed.with(crossed_out: NOTHING) })
        end
        [finding(:nothing, "terms", mended, names: names(found.map(&:last)))]
      end

      # Terms that were crossed out for finding nothing, to be put back at once.
      def found_nothing
        found = filled.flat_map { |block| block.terms.select { |term| term.crossed_out == NOTHING }.map { |term| [block, term] } }
        return [] if found.empty?

        mended = found.reduce(inquiry) do |now, (block, term)|
          now.with_block(now.block(block.key).replace(term.id) { |changed| changed.with(crossed_out: nil) })
        end
        size = Records::RecordSet.union(found.map { |_, term| evaluator.call(term.leaf) }).size
        [finding(:found_nothing, "terms", mended, names: names(found.map(&:last)), size:)]
      end

      def names(terms) = terms.map { |term| "“#{term.label}”" }.join(", ")

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
        remark = Question::SearchNames::NoUse.call(term.leaf.text.delete("*?"), thesaurus).first or return

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
        ways.select { |way| way.adds.positive? && %i[spelling number].include?(way.kind) }.map do |way|
          adds = "#{way.adds} #{way.adds == 1 ? "paper" : "papers"}"
          finding(:other_way, of_term(term), added(block, way.leaf),
                  way: way.leaf.text, name: term.label, adds:)
        end
      end
    end
  end
end

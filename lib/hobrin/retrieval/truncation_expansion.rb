# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What a masked word or phrase takes in: every way to spell it out that finds papers in its
    # fields.
    #
    # words :: Array of [spelled out, how many papers have it there], the commonest first
    # more  :: how many further spellings were not looked at, the rarest ones
    class TruncationExpansion < Value
      attributes :words, :more

      # As many are looked at: enough to see what is going on.
      MOST = 80
      # A mask that takes in more different spellings than this is worth a look (common practice, no
      # source).
      WILD = 12
      private_constant :MOST, :WILD

      # leaf :: Strategy::TextTerm, with masks or without
      def self.of(leaf, evaluator)
        return new(words: [], more: 0) unless leaf.masked?

        choices = leaf.masks.map do |mask|
          mask.plain? ? [mask.word] : evaluator.index.spellings(mask).map(&:first)
        end
        all = choices.reduce(1) { |product, words| product * words.size }
        looked_at = choices.first.lazy.flat_map { |first| combined(first, choices.drop(1)) }.first(MOST)
        found = looked_at.map { |text| [text, evaluator.count(Strategy::TextTerm.new(text:, fields: leaf.fields))] }
        new(words: found.reject { |_, papers| papers.zero? }.sort_by { |text, papers| [-papers, text] },
            more: all - looked_at.size)
      end

      def self.combined(first, rest)
        rest.empty? ? [first] : [first].product(*rest).map { |words| words.join(" ") }
      end
      private_class_method :combined

      def size = words.size + more
      def wild? = size > WILD
    end
  end
end

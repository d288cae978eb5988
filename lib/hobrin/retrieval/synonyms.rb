# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What else a block could have beside one term: other spellings of its words that occur in the
    # library, and the names that the thesaurus has for it, as words.
    class Synonyms
      # leaf :: Strategy::TextTerm; kind :: :spelling, :number, :joined, :also_called or :truncated;
      #   adds :: papers the block lacks
      class Synonym < Value
        attributes :leaf, :kind, :size, :adds
      end

      MOST = 12
      SHORTEST_STEM = 5
      private_constant :MOST, :SHORTEST_STEM

      def initialize(evaluator)
        @evaluator = evaluator
      end

      # term :: a Strategy::Block::Term; block :: its Strategy::Block. Gives an Array of Synonym, what adds
      #   most first; only those
      # that find anything and are not in the block yet.
      def call(term, block)
        found = @evaluator.call(block.tree)
        candidates(term.leaf).uniq(&:last).reject { |_, leaf| block.holds?(leaf) }.filter_map do |kind, leaf|
          set = @evaluator.call(leaf)
          Synonym.new(leaf:, kind:, size: set.size, adds: (set - found).size) unless set.empty?
        end.sort_by { |way| [-way.adds, -way.size, way.leaf.text] }.first(MOST)
      end

      private

      def candidates(leaf)
        case leaf
        when Strategy::TextTerm then leaf.masked? ? [] : of_words(leaf)
        when Strategy::Heading then of_heading(leaf)
        else []
        end
      end

      def of_words(leaf)
        ways = Text::Variants.new(leaf.text).call.map { |variant| [variant.kind, leaf.with(text: variant.text)] }
        ways.select { |_, other| other.tokens.all? { |word| occurs?(word) } } + truncated(leaf)
      end

      # Its last word with any ending.
      def truncated(leaf)
        last = leaf.tokens.last
        stem = Text::Variants.stem(last)
        return [] if stem.size < SHORTEST_STEM

        [[:truncated, leaf.with(text: [*leaf.tokens[0...-1], "#{stem}*"].join(" "))]]
      end

      def of_heading(leaf)
        heading = @evaluator.thesaurus.heading(leaf.label) or return []
        heading.names.filter_map do |name|
          [:also_called, Strategy::TextTerm.read(name)]
        rescue InputError
          nil
        end
      end

      # Whether any paper has the word at all; asked once for each word, so that most ways need no
      # search.
      def occurs?(word) = @evaluator.index.occurs?(word)
    end
  end
end

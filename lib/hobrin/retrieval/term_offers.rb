# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What could be added to a block while a person types, and what each would add.
    class TermOffers
      # leaf :: one of Strategy::Block::Term::LEAVES; via :: the also-called name that led to it, or nil
      # adds :: papers that the block does not have yet; size :: papers that it finds; held ::
      #   whether the term is in the block already
      class Offer < Value
        attributes :leaf, :via, :adds, :size, :held

        def heading? = leaf.is_a?(Strategy::Heading)
        def finds? = size.positive?
      end

      MOST = 6
      MOST_JOURNALS = 2
      SHORTEST_NAME = 3
      private_constant :MOST, :MOST_JOURNALS, :SHORTEST_NAME

      # block :: Strategy::Block; evaluator :: Evaluator
      def initialize(block, evaluator)
        @block = block
        @evaluator = evaluator
        @thesaurus = evaluator.thesaurus
        @found = evaluator.call(block.tree)
      end

      # typed :: String; way :: how headings are looked up, see Thesaurus::LookUp
      # Gives [Array of Offer with the most fitting first, Array of Reading::Part: what Enter would
      # add].
      def typed(typed, way: :ranked)
        return [[], []] if typed.size > Strategy::TextTerm::LONGEST
        return [[], []] unless entry(typed)&.plain?

        plain = typed.delete("*\"“”")
        headings = @thesaurus.look_up(plain, limit: MOST, way:).map do |match|
          heading(match.heading.label, via: (match.name if match.also_called?))
        end
        named = way == :ranked ? [*authors(plain), *journals(plain)] : []
        plain_words = words(typed)
        more = truncated(typed) if plain_words.none?(&:finds?)
        [[*headings, *more, *plain_words, *named], reading.call(typed)]
      end

      # What was typed as a Strategy::Entry, nil where it cannot be one.
      def entry(typed)
        Strategy::Entry.read(typed, known: ->(word) { of_words(word)&.finds? }, whole: ->(text) { !@thesaurus.named(text).nil? })
      rescue InputError
        nil
      end

      # A heading as an Offer. named :: the name by which it was come to
      def of_heading(label, named:)
        heading(label, via: (named unless Text::Tokens.of(named) == Text::Tokens.of(label)))
      end

      # A text as an Offer of words; nil when it cannot be searched.
      def of_words(text) = words(text).first

      # The same, with its last word truncated where it finds nothing as it is and something like
      # that.
      def of_words_or_truncated(text)
        plain = of_words(text)
        plain.nil? || plain.finds? ? plain : truncated(text) || plain
      end

      private

      def reading = Thesaurus::Reading.new(@thesaurus)

      def heading(label, via: nil) = offer(Strategy::Heading.of(label, @thesaurus), via:)

      def words(typed)
        [offer(Strategy::TextTerm.read(typed))]
      rescue InputError
        []
      end

      # An Offer with the last word truncated, nil where that cannot be or finds nothing. A plural "s" goes.
      def truncated(text)
        stem = text.strip.delete('"“”').sub(/(?<=\p{L}{4})s\z/, "")
        return unless stem.match?(/\p{L}{3}\z/)

        found = of_words("#{stem}*")
        found if found&.finds?
      end

      # Only those whom the library knows.
      def authors(typed)
        return [] if typed.strip.size < SHORTEST_NAME || typed.split.size > SHORTEST_NAME

        leaf = Strategy::Author.read(typed)
        @evaluator.call(leaf).empty? ? [] : [offer(leaf)]
      rescue InputError
        []
      end

      def journals(typed)
        line = Text::Tokens.line(typed)
        return [] if line.size < SHORTEST_NAME

        names = @evaluator.index.values(:journal).select { |name| Text::Tokens.line(name).include?(line) }
        names.first(MOST_JOURNALS).map { |name| offer(Strategy::Journal.named(name)) }
      end

      def offer(leaf, via: nil)
        found = @evaluator.call(leaf)
        Offer.new(leaf:, via:, adds: (found - @found).size, size: found.size,
                  held: @block.holds?(leaf))
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What could be added to a block, and what each would add: while a person types, and from the
    # phrases of a question.
    class TermOffers
      # leaf :: one of Strategy::Term::LEAVES; via :: the also-called name that led to it, or nil
      # adds :: papers that the block does not have yet; held :: whether the term is in the block
      #   already
      class Offer < Value
        attributes :leaf, :via, :adds, :held

        def heading? = leaf.is_a?(Strategy::Heading)
      end

      MOST = 6
      MOST_JOURNALS = 2
      SHORTEST_NAME = 3
      SHORTEST_ROOT = 4
      private_constant :MOST, :MOST_JOURNALS, :SHORTEST_NAME, :SHORTEST_ROOT

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

        plain = typed.delete("*\"“”")
        headings = @thesaurus.look_up(plain, limit: MOST, way:).map do |match|
          heading(match.heading.label, via: (match.name if match.also_called?))
        end
        named = way == :ranked ? [*authors(plain), *journals(plain)] : []
        [[*headings, *words(typed), *named], reading.call(typed)]
      end

      # phrases :: Array of String, such as those of an element. What their parts lead to: Array of
      #   Offer, each once; one that
      # finds nothing gives way to what is near it.
      def phrases(phrases)
        parts = phrases.flat_map { |phrase| reading.call(phrase) }
        parts.filter_map do |part|
          part(part)
        end.flat_map { |offer| offer.adds.zero? ? near(offer) : [offer] }.uniq(&:leaf)
      end

      private

      def reading = Thesaurus::Reading.new(@thesaurus)

      # A part of a reading as an Offer; nil when its words cannot be searched.
      def part(part)
        return words(part.text).first if part.kind == :words

        heading(part.label, via: (part.text unless Text::Tokens.of(part.text) == Text::Tokens.of(part.label)))
      end

      # Headings that begin alike, and each word with any ending, as far as they find something; the
      # offer itself when none does.
      def near(offer)
        roots = Text::Tokens.of(offer.leaf.label).map { |word| Text::Variants.root(word) }
        wanted = roots.reject { |root| root.size < SHORTEST_ROOT || Thesaurus::Reading::EMPTY.include?(root) }
        found = wanted.flat_map do |root|
          alike = @thesaurus.look_up(root, limit: 1, way: :begins).map do |match|
            heading(match.heading.label)
          end
          [*alike, *words("#{root}*")]
        end
        found.reject { |one| one.adds.zero? }.then { |some| some.empty? ? [offer] : some }
      end

      def heading(label, via: nil) = offer(Strategy::Heading.of(label, @thesaurus), via:)

      def words(typed)
        [offer(Strategy::TextTerm.read(typed))]
      rescue InputError
        []
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
        Offer.new(leaf:, via:, adds: (@evaluator.call(leaf) - @found).size,
                  held: @block.holds?(leaf))
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # What could be added to a block while a person types, and what each would add.
    class OfferTerms
      # leaf :: one of Strategy::Term::LEAVES; via :: the also-called name that led to it, or nil
      # adds :: papers that the block does not have yet; held :: whether the term is in the block already
      Offer = Struct.new(:leaf, :via, :adds, :held, keyword_init: true) do
        def heading? = leaf.is_a?(Strategy::Heading)
      end

      MOST = 6
      MOST_JOURNALS = 2
      SHORTEST_NAME = 3
      SHORTEST_ROOT = 4
      private_constant :MOST, :MOST_JOURNALS, :SHORTEST_NAME, :SHORTEST_ROOT

      def initialize(context)
        @thesaurus = context.thesaurus
        @evaluator = context.evaluator
      end

      # typed :: String; block :: Strategy::Block; way :: how headings are looked up, see Thesaurus::LookUp
      # Gives [Array of Offer with the most fitting first, Array of Reading::Part: what Enter would add].
      def call(typed, block, way: :ranked)
        return [[], []] if typed.size > Strategy::Words::LONGEST

        plain = typed.delete("*\"“”")
        headings = @thesaurus.look_up(plain, limit: MOST, way:).map do |match|
          offer(heading(match.heading.label), block, via: (match.name if match.also_called?))
        end
        named = way == :ranked ? [*authors(plain, block), *journals(plain, block)] : []
        [[*headings, *words(typed, block), *named], Thesaurus::Reading.new(@thesaurus).call(typed)]
      end

      # A part of a reading as an Offer; nil when its words cannot be searched.
      def part(part, block)
        return words(part.text, block).first if part.kind == :words

        via = part.text unless Text::Tokens.of(part.text) == Text::Tokens.of(part.label)
        offer(heading(part.label), block, via:)
      end

      # What the words of an offer that finds nothing lead to: headings that begin alike, and each word with any ending.
      # Gives an Array of Offer that find something; the offer itself when there is none.
      def near(offer, block)
        roots = Text::Tokens.of(offer.leaf.label).map { |word| Text::Variants.root(word) }
        wanted = roots.reject { |root| root.size < SHORTEST_ROOT || Thesaurus::Reading::EMPTY.include?(root) }
        found = wanted.flat_map { |root| [*@thesaurus.look_up(root, limit: 1, way: :begins), root] }.filter_map do |one|
          one.is_a?(String) ? words("#{one}*", block).first : offer(heading(one.heading.label), block)
        end
        found.reject { |one| one.adds.zero? }.then { |some| some.empty? ? [offer] : some }
      end

      private

      def heading(label) = Strategy::Heading.new(label:, narrower: @thesaurus.narrower?(label))

      def words(typed, block)
        [offer(Strategy::Words.read(typed), block)]
      rescue InputError
        []
      end

      # Only those whom the library knows.
      def authors(typed, block)
        return [] if typed.strip.size < SHORTEST_NAME || typed.split.size > SHORTEST_NAME

        leaf = Strategy::Author.read(typed)
        @evaluator.call(leaf).empty? ? [] : [offer(leaf, block)]
      rescue InputError
        []
      end

      def journals(typed, block)
        line = Text::Tokens.line(typed)
        return [] if line.size < SHORTEST_NAME

        names = @evaluator.index.values(:journal).select { |name| Text::Tokens.line(name).include?(line) }
        names.first(MOST_JOURNALS).map { |name| offer(Strategy::Journal.named(name), block) }
      end

      def offer(leaf, block, via: nil)
        adds = @evaluator.call(leaf) - @evaluator.call(block.tree)
        Offer.new(leaf:, via:, adds: adds.size, held: block.holds?(leaf))
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # What could be added to a block while a person types, and what each would add.
    class OfferTerms
      # leaf :: Strategy::Heading or Strategy::Words; via :: the also-called name that led to it, or nil
      # adds :: papers that the block does not have yet; held :: whether the term is in the block already
      Offer = Struct.new(:leaf, :via, :adds, :held, keyword_init: true) do
        def heading? = leaf.is_a?(Strategy::Heading)
      end

      MOST = 6
      private_constant :MOST

      def initialize(context)
        @thesaurus = context.library.thesaurus
        @evaluator = context.evaluator
      end

      # typed :: String; block :: Strategy::Block.
      # Gives [Array of Offer with the most fitting first, Array of Reading::Part: what Enter would add].
      def call(typed, block)
        return [[], []] if typed.size > Strategy::Words::LONGEST

        headings = @thesaurus.look_up(typed.delete("*\"“”"), limit: MOST).map do |match|
          offer(heading(match.heading.label), block, via: (match.name if match.also_called?))
        end
        [[*headings, *words(typed, block)], Thesaurus::Reading.new(@thesaurus).call(typed)]
      end

      # A part of a reading as an Offer; nil when its words cannot be searched.
      def part(part, block)
        return words(part.text, block).first if part.kind == :words

        via = part.text unless Text::Tokens.of(part.text) == Text::Tokens.of(part.label)
        offer(heading(part.label), block, via:)
      end

      private

      def heading(label) = Strategy::Heading.new(label:, narrower: @thesaurus.narrower?(label))

      def words(typed, block)
        [offer(Strategy::Words.read(typed), block)]
      rescue InputError
        []
      end

      def offer(leaf, block, via: nil)
        adds = @evaluator.call(leaf) - @evaluator.call(block.tree)
        Offer.new(leaf:, via:, adds: adds.size, held: block.holds?(leaf))
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Narrowing
    # Every sensible single change of a state: what a person might try to widen or to narrow.
    class Moves
      # direction :: :widen or :narrow; kind :: such as :main_off; wording :: in words; state :: the State after it
      Move = Struct.new(:direction, :kind, :wording, :state, keyword_init: true)

      # state :: State; thesaurus :: Thesaurus; today :: Date
      # filters :: Strategy::Filters; kind :: key of the kind of question that they are offered for, or nil
      # letters :: Hash of a block's key to the letter that it goes by; one that is not there goes by its key
      def initialize(state, thesaurus:, today:, filters: Strategy::Filters::NONE, kind: nil, letters: {})
        @state = state
        names = Hash.new { |_, key| key }.merge(letters)
        @makers = [OfHeadings.new(state, thesaurus, names), OfWords.new(state, names), OfBlocks.new(state, names),
                   OfLimits.new(state, today), OfFilter.new(state, filters, kind)]
      end

      # Gives an Array of Move, no two leading to the same state, none to the state as it is.
      def call
        found = @makers.flat_map(&:call)
        found.reject { |move| move.state == @state || move.state.blocks.empty? }.uniq(&:state)
      end
    end
  end
end

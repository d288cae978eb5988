# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Gives a term of words other words, or looks for them elsewhere or near each other.
      #
      # leaf :: Strategy::TextTerm or Strategy::Proximity
      class RewordTerm < TermEdit
        attributes :term_id, :leaf

        WORDS = [Strategy::TextTerm, Strategy::Proximity].freeze
        private_constant :WORDS

        def call(inquiry, _surroundings)
          replace(inquiry, :term_reworded, kinds: WORDS, leaf:) { |term| term.with(leaf:) }
        end
      end
    end
  end
end

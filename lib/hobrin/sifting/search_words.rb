# frozen_string_literal: true

module Hobrin
  module Sifting
    # The words of a search, by which papers are put in the order of how close they are to it.
    module SearchWords
      # leaf :: of a strategy. Gives an Array of texts, as they are searched; none for what has no
      # words.
      def self.of(leaf)
        case leaf
        when Strategy::TextTerm then [leaf.text]
        when Strategy::Proximity then [leaf.left, leaf.right]
        when Strategy::Heading then [leaf.label]
        else []
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # The words of the library that the masks of a term take in.
    module TakenIn
      # leaf :: Strategy::Words. Gives an Array of [word, how many papers have it], the commonest first.
      def self.of(leaf, evaluator)
        found = leaf.masks.reject(&:plain?).flat_map { |mask| evaluator.index.spellings(mask) }
        found.sort_by { |word, papers| [-papers, word] }
      end
    end
  end
end

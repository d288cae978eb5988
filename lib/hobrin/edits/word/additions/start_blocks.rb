# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Gives several empty blocks their first terms at once.
      #
      # terms :: Hash of the key of a block to an Array of [:heading or :words, text]
      class StartBlocks < Edit
        STEP = :word
        attributes :terms

        # Raises InputError (:press) when there is nothing to add, and what Word::AddParts raises.
        def call(inquiry, surroundings)
          wanted = terms.reject { |key, parts| parts.empty? || inquiry.block(key).terms.any? }
          raise InputError, { press: "These blocks have terms already." } if wanted.empty?

          changes = []
          changed = wanted.reduce(inquiry) do |now, (block, parts)|
            changes << AddParts.new(block:, parts:).call(now, surroundings)
            changes.last.inquiry
          end
          letters = changes.map { |change| change.facts[:letter] }
          count = changes.sum { |change| change.facts[:leaves].size }
          Change.new(inquiry: changed, kind: :blocks_started, facts: { letters:, terms: count })
        end
      end
    end
  end
end

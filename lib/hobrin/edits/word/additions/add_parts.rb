# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Adds a reading as the person left it: headings and words, in their order.
      #
      # parts :: Array of [:heading or :words, text]
      class AddParts < Addition
        attributes :block, :parts

        def self.headings(block, *labels)
          new(block:, parts: labels.map { |label| [:heading, label] })
        end

        def self.words(block, *texts) = new(block:, parts: texts.map { |text| [:words, text] })

        private

        def read(surroundings)
          Reading.of(parts.map { |kind, text| kind == :heading ? heading(text, surroundings) : words(text) })
        end
      end
    end
  end
end

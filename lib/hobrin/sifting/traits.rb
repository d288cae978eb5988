# frozen_string_literal: true

module Hobrin
  module Sifting
    # What a paper is told by when Hobrin learns what a person keeps: the words of its title and
    # abstract, its headings and its study types, each with a weight; the weights of a paper have
    # length one, so that a long abstract says no more than a short one.
    class Traits
      # How much heavier than a word of the abstract.
      TITLE = 1.5
      HEADING = 2.0
      TYPE = 4.0
      private_constant :TITLE, :HEADING, :TYPE

      # A Hash of each trait to its weight. likeness :: Likeness, for how rare a word is.
      # A trait is a word, or [:heading, label] or [:type, name].
      def self.of(record, likeness)
        weights = Text::Tokens.of(record.abstract.to_s).uniq.grep_v(/\A\d/).to_h { |word| [word, likeness.rarity(word)] }
        Text::Tokens.of(record.title).uniq.each { |word| weights[word] = TITLE * likeness.rarity(word) }
        record.headings.each do |heading|
          weights[[:heading, heading.label]] = HEADING * (heading.main ? 2 : 1)
        end
        record.types.each { |type| weights[[:type, type]] = TYPE }
        length = Math.sqrt(weights.each_value.sum { |weight| weight * weight })
        length.zero? ? weights : weights.transform_values { |weight| weight / length }
      end
    end
  end
end

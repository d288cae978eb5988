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
      # So many of a paper's traits are kept, the weightiest: the rest tells little and takes time.
      MOST = 48
      private_constant :TITLE, :HEADING, :TYPE, :MOST

      # A Hash of each trait to its weight. likeness :: Likeness, for how rare a word is. A trait is a
      # Symbol, which is quick to look up: a word, or "heading …" or "type …" with a space.
      def self.of(record, likeness)
        weights = { **words(record, likeness), **labels(record) }.max_by(MOST) { |_, weight| weight }.to_h
        length = Math.sqrt(weights.each_value.sum { |weight| weight * weight })
        length.zero? ? weights : weights.transform_values { |weight| weight / length }
      end

      # A word of the title counts as one, whether the abstract has it or not.
      def self.words(record, likeness)
        abstract = Text::Tokens.of(record.abstract.to_s).uniq.grep_v(/\A\d/)
        title = Text::Tokens.of(record.title).uniq
        { **abstract.to_h { |word| [word.to_sym, likeness.rarity(word)] },
          **title.to_h { |word| [word.to_sym, TITLE * likeness.rarity(word)] } }
      end

      def self.labels(record)
        { **record.headings.to_h { |heading| [:"heading #{heading.label}", HEADING * (heading.main ? 2 : 1)] },
          **record.types.to_h { |type| [:"type #{type}", TYPE] } }
      end
      private_class_method :words, :labels
    end
  end
end

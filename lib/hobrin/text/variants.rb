# frozen_string_literal: true

require "dry/inflector"

module Hobrin
  module Text
    # Other ways in which the same word or phrase may be written: British and American spelling,
    # plural and singular, in one word or in two. More than there are: who offers them first looks
    # which of them occur.
    #
    # The spelling rules are the usual differences of the two spellings (common practice, no
    # source); plurals come from dry-inflector.
    class Variants
      # text :: the other way; kind :: :spelling, :number or :joined
      class Variant < Value
        attributes :text, :kind
      end

      # Each pair is tried both ways, wherever it stands in a word.
      PAIRS = [%w[isation ization], %w[ise ize], %w[ising izing], %w[yse yze], %w[ysing yzing], %w[our or], %w[aem em],
               %w[aes es], %w[oes es], %w[oed ed], %w[paed ped], %w[foet fet], %w[gynaec gynec], %w[caec cec],
               %w[rrhoea rrhea], %w[rrhoe rrhe], %w[tre ter], %w[ogue og], %w[lling ling], %w[lled led], %w[ller ler],
               %w[llor lor], %w[programme program], %w[practise practice], %w[ence ense], %w[grey gray], %w[faec fec],
               %w[coel cel], %w[leuc leuk], %w[mould mold], %w[ae e], %w[oe e], %w[ph f], %w[ageing aging],
               %w[kerb curb], %w[sceptic skeptic], %w[draught draft], %w[tyre tire], %w[bre ber], %w[ilful illful],
               %w[olment ollment]].freeze
      INFLECTOR = Dry::Inflector.new
      SHORTEST = 3
      private_constant :PAIRS, :INFLECTOR, :SHORTEST

      # A word without its plural ending, to be truncated.
      def self.stem(word)
        INFLECTOR.singularize(word).then do |singular|
          singular.size < word.size && word.start_with?(singular) ? singular : word
        end
      end

      # A word without the ending of a verb or a plural: what names of the same thing begin with.
      def self.root(word) = word.sub(/(?<=.{4})(?:ing|ed|es|s)\z/, "")

      # text :: folded words, as in Strategy::TextTerm; no masks. Gives an Array of Variant, each
      #   other way once.
      #
      #   Variants.new("oedema").call.map(&:text) # => includes "edema"
      def initialize(text)
        @words = text.split
      end

      def call
        found = by_kind(:spelling, spellings) + by_kind(:number, numbers) + by_kind(:joined, joined)
        found.reject { |variant| variant.text == @words.join(" ") }.uniq(&:text)
      end

      private

      def by_kind(kind, texts) = texts.map { |text| Variant.new(text:, kind:) }

      # One word of the phrase spelled another way, and all that can be.
      def spellings
        ways = @words.map { |word| [word, *respelled(word)].uniq }
        one = ways.each_index.flat_map do |place|
          ways[place].drop(1).map { |word| with(place, word) }
        end
        one + twice(ways)
      end

      def respelled(word)
        PAIRS.flat_map { |one, two| replaced(word, one, two) + replaced(word, two, one) }
      end

      def replaced(word, from, to)
        places(word, from).map { |place| word[0...place] + to + word[(place + from.size)..] }
      end

      def places(word, part)
        (0..[word.size - part.size, -1].max).select { |place| word[place, part.size] == part }
      end

      # A word with two of these differences: "anaesthetised".
      def twice(ways)
        return [] unless ways.one?

        ways.first.drop(1).flat_map { |word| respelled(word) }
      end

      def numbers
        last = @words.last
        [INFLECTOR.singularize(last), INFLECTOR.pluralize(last)].uniq.map do |word|
          with(@words.size - 1, word)
        end
      end

      # Two words written as one, one written as two.
      def joined
        together = @words.each_cons(2).with_index.map do |(one, two), place|
          [*@words.take(place), one + two, *@words.drop(place + 2)].join(" ")
        end
        together + apart
      end

      def apart
        @words.each_with_index.flat_map do |word, place|
          (SHORTEST..(word.size - SHORTEST)).map do |cut|
            with(place, "#{word[0...cut]} #{word[cut..]}")
          end
        end
      end

      def with(place, word) = @words.dup.tap { |words| words[place] = word }.join(" ")
    end
  end
end

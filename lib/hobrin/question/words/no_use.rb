# frozen_string_literal: true

module Hobrin
  class Question
    # Words that find nothing of use: judgements, words that only join two ideas, words that nearly
    # every paper has, and whole sentences. Common practice, no source.
    module NoUse
      # words :: as they stand; reason :: why, in a sentence
      class Remark < Value
        attributes :words, :reason
      end

      REASONS = {
        %w[best better good effective effectively effectiveness efficient useful optimal ideal
           appropriate proper] =>
          "a judgement: papers are found by what they are about",
        %w[improve improves improved improving improvement reduce reduces reduced reducing increase increases increased
           decrease decreases prevent prevents affect affects help helps] =>
          "says which way things should go: papers with the other answer would be missed",
        %w[effect effects impact influence role relationship association versus vs compared comparison between
           difference] => "only joins two ideas: the search does that by joining the blocks",
        %w[patient patients people person persons study studies research paper papers evidence hospital care outcome
           outcomes intervention interventions] => "nearly every paper says it"
      }.flat_map { |words, reason| words.map { |word| [word, reason] } }.to_h.freeze
      MOST_WORDS = 8
      private_constant :REASONS, :MOST_WORDS

      # text :: what is to be searched; thesaurus :: Thesaurus, since a name that it knows is of
      #   use, unless it is one that
      # nearly every paper says.
      # Gives an Array of Remark. A word is remarked on when all others around it are of no use
      # either, or small, unless it judges or joins: that one is of no use anywhere.
      def self.call(text, thesaurus)
        words = Text::Tokens.of(text)
        return [sentence(text)] if words.size > MOST_WORDS

        poor = words.select { |word| REASONS.key?(word) }.uniq
        alone = (words - poor - Thesaurus::Reading::EMPTY).empty?
        return [] if thesaurus.named(text) && poor.none? { |word| everywhere?(word) && alone }

        poor.select { |word| alone || !everywhere?(word) }
            .map { |word| Remark.new(words: word, reason: REASONS.fetch(word)) }
      end

      def self.everywhere?(word) = REASONS.fetch(word) == REASONS.fetch("patients")

      def self.sentence(text)
        Remark.new(words: text, reason: "#{Text::Tokens.of(text).size} words in a row: no paper says it just so. " \
                                        "Name the thing in one to four words")
      end
      private_class_method :everywhere?, :sentence
    end
  end
end

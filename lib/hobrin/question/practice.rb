# frozen_string_literal: true

module Hobrin
  class Question
    # The rules of practice for what an element is used for, each said where it acts. Common
    # practice, no source.
    class Practice
      # text :: the rule in a sentence or two; use :: the use that it would have, nil when it asks
      #   for none
      class Advice < Value
        attributes :text, :use
      end

      USUAL = /\A(?:the\s)?(?:usual|standard|routine|normal|current|conventional)\s(?:care|practice|treatment|rounds?|nursing|nursing care|ward care|mattress|advice)\z|\A(?:nothing|none|placebo|sham|no\s.+|without\s.+|not\s.+)\z/i
      EITHER = /\s(?:and|or|plus|with or without)\s/i
      AGE_OR_SEX = /\A(?:older|elderly|young|aged|adult|adults|children|infants|babies|newborns|women|men|people|patients|girls|boys|female|male|adolescents|teenagers|over|under|and|\d+|years|old)(?:\s(?:older|elderly|young|aged|adults?|children|women|men|people|patients|over|under|and|\d+|years|old))*\z/i
      NOBODY = /\A(?:people|patients|over|under|and|\s)+\z/i
      private_constant :USUAL, :EITHER, :AGE_OR_SEX, :NOBODY

      # question :: Question; thesaurus :: Thesaurus
      def initialize(question, thesaurus)
        @question = question
        @thesaurus = thesaurus
      end

      # element :: an Element. Gives an Advice, nil when there is nothing to say but its prompt.
      def call(element)
        return if element.blank?

        case element.key
        when "C" then comparison(element)
        when "I" then intervention(element)
        when "P" then people(element)
        when "O" then outcome(element)
        when "T" then advice(:time, :reading)
        end
      end

      private

      def comparison(element)
        return advice(:usual_care, :reading) if element.phrases.all? { |phrase| usual?(phrase.text) }

        advice(:active_comparison, element.use == :reading ? :searched : nil)
      end

      def usual?(text) = USUAL.match?(text.strip)

      def intervention(element)
        return unless element.name.match?(EITHER) && !@thesaurus.named(element.name)

        advice(:two_in_one)
      end

      def people(element)
        limit = element.phrases.all? { |phrase| AGE_OR_SEX.match?(phrase.text.strip) && !NOBODY.match?(phrase.text) }
        limit ? advice(:age_or_sex, :limit) : advice(:population)
      end

      def outcome(element)
        return if element.use == :reading

        advice(:outcome)
      end

      def advice(key, use = nil) = Advice.new(text: Book.t("question.practice.#{key}"), use:)
    end
  end
end

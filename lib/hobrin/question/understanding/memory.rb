# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # What a reader who goes from left to right still has in mind at a word: the last preposition
      # and how far back it stands, whether two things are being compared, the verb of the sentence.
      class Memory
        PREPOSITIONS = %w[in on at by for from of to with without within into after before during over through against
                          among between around about under than].freeze
        COMPARING = %w[or versus vs than instead rather compared].freeze
        AGAINST = %w[than against].freeze
        VERBS = %w[change assess tell money].freeze
        AUXILIARIES = %w[do does did can could will would should is are was were has have may might].freeze
        STOPS = %w[. ? ! : ;].freeze
        BREAKS = %w[, -].freeze
        private_constant :PREPOSITIONS, :AGAINST, :AUXILIARIES, :STOPS, :BREAKS

        # preposition :: or the sign since which there was none; since :: words after it
        # comparing :: the word that set two things against each other; verb :: the class of the
        #   verb, or its auxiliary
        # content :: how many words in a row were no small ones; small, since_small :: the last small
        #   word or sign, and words after it
        attr_reader :preposition, :since, :comparing, :verb, :content, :small, :since_small

        def initialize
          @since = @content = @since_small = 0
        end

        # The last small word is remembered first: it stands at the word itself.
        def meet_small(token)
          if token.small? || token.kind == token.word
            @small = token.word
            @since_small = 0
          else
            @since_small += 1
          end
        end

        def meet(token)
          remember_place(token.word)
          @content = token.small? ? 0 : @content + 1
          @comparing = token.word if COMPARING.include?(token.word)
          @verb = (token.classes & VERBS).first || @verb ||
                  ("aux:#{token.word}" if AUXILIARIES.include?(token.word))
        end

        private

        def remember_place(word)
          if STOPS.include?(word) then forget(word)
          elsif BREAKS.include?(word) then place(word, content: 0)
          elsif PREPOSITIONS.include?(word)
            place(word)
            @comparing = word if AGAINST.include?(word)
          else
            @since += 1
          end
        end

        def forget(word)
          place(word, content: 0)
          @comparing = @verb = nil
        end

        def place(word, content: @content)
          @preposition = word
          @since = 0
          @content = content
        end
      end
    end
  end
end

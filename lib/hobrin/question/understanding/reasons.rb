# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # Why a phrase was proposed: of what a person could see in the sentence, that which weighed
      # most for it.
      class Reasons
        # what :: :after, :before, :comparing, :begins or :names; word :: of the sentence, or the
        #   class of its words
        class Reason < Value
          attributes :what, :word
        end

        # Which names of features say a thing that can be told.
        TOLD = { after: /\A(?:w-1=|k-1=f:|lf=|lp=)/, before: /\A(?:nf=|w1=)/,
                 comparing: /\Alc=/, begins: /\A(?:st1=|st2=)/, names: /\Ac=/ }.freeze
        MOST = 2
        LEAST = 0.2
        private_constant :TOLD, :MOST, :LEAST

        def initialize(sentence, learned)
          @sentence = sentence
          @learned = learned
        end

        # features :: names of the first word's features; label :: of that word; first, last :: places
        #   of the phrase's tokens. Gives an Array of at most two Reasons, none when nothing that
        #   can be told spoke for it.
        def call(features, label, first, last)
          weights = TOLD.transform_values do |pattern|
            features.grep(pattern).sum { |name| @learned.for_label(name, label) }
          end
          weights[:names] = classes(first, last).sum { |name| @learned.for_label("c=#{name}", label) }
          told = weights.select { |_, weight| weight > LEAST }.sort_by { |_, weight| -weight }.map(&:first)
          told.filter_map { |what| reason(what, first, last, label) }.first(MOST)
        end

        private

        def classes(first, last) = @sentence.tokens[first..last].flat_map(&:classes).uniq

        def reason(what, first, last, label)
          word = word(what, first, last, label)
          Reason.new(what:, word:) if word
        end

        def word(what, first, last, label)
          tokens = @sentence.tokens
          case what
          when :after then small(tokens[first - 1]) if first.positive?
          when :before then small(tokens[last + 1])
          when :comparing then compared(first)
          when :begins then tokens[@sentence.start(tokens[first].sentence)].text
          when :names then classes(first, last).max_by { |name| @learned.for_label("c=#{name}", label) }
          end
        end

        def small(token) = (token.word if token&.small?)

        def compared(first)
          @sentence.tokens.first(first).reverse.find { |token| States::Memory::COMPARING.include?(token.word) }&.word
        end
      end
    end
  end
end

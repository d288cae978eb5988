# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # What is said of a whole question, as names that the learnt weights know: the cues in what is
      # asked and in what is told beside it, how the asking begins, its words and their classes.
      class KindFeatures
        # sentence :: Sentence
        def initialize(sentence)
          @sentence = sentence
          @text = sentence.text.downcase.tr("’", "'")
          told = @text.split(/(?<=[.?!:;])\s+/)
          @asked = told.select { |sentence| sentence.include?("?") }
          @asked = told.last(1) if @asked.empty?
          @beside = told - @asked
        end

        # Gives an Array of names, each once.
        def call
          asked, beside = cues(@asked), cues(@beside)
          ["b", *asked.map { |cue| "C=#{cue}" }, *beside.map { |cue| "D=#{cue}" },
           *(KindCues::ALL.keys - asked - beside).map { |cue| "N=#{cue}" },
           *asked.combination(2).map { |pair| "CC=#{pair.join(",")}" },
           *beginnings(asked), *words].uniq
        end

        # The cues of what is asked and then of what is beside it: [name, the words of the text].
        def found
          [*@asked, *@beside].flat_map { |text| KindCues.in(text).map { |cue| [cue, KindCues.words(cue, text)] } }.uniq(&:first)
        end

        private

        def cues(texts) = texts.flat_map { |text| KindCues.in(text) }.uniq

        def beginnings(cues)
          @asked.flat_map do |text|
            words = text.scan(/[[:alnum:]']+/)
            ["q1=#{words[0]}", "q2=#{words[0]},#{words[1]}", *cues.map { |cue| "q1C=#{words[0]},#{cue}" },
             *words.map { |word| "qw=#{word}" }]
          end
        end

        def words
          tokens = @sentence.tokens
          tokens.flat_map { |token| word(token) } +
            tokens.each_cons(2).map { |one, two| "2=#{one.word}|#{two.word}" }
        end

        def word(token)
          word = token.word
          ["w=#{word}", *token.classes.map { |name| "c=#{name}" }, *("t=#{word[0, 5]}" if word.size > 5)]
        end
      end
    end
  end
end

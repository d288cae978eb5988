# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # A question cut into words and signs, each with what can be said of it by itself: whether it
      # is a small word, to which classes of words it belongs, in which sentence and which part of
      # it (between two signs) it stands. What the features are made from.
      class Sentence
        # text :: as written; word :: in small letters; from, to :: first character and one past the last
        # classes :: of the word, as Strings; kind :: the one thing that says most: "f:WORD" for a
        #   small word, the sign itself, "9" for a number, else its first class, or "x"
        # sentence, part :: which one it is in, from 0; branch :: of the thesaurus, when it is part of
        #   a name there: the label at the top of the heading's first place, nil for none
        # opens :: whether it begins that name
        Token = Struct.new(:text, :word, :from, :to, :classes, :kind, :sentence, :part, :branch, :opens) do
          def small? = kind.start_with?("f:")
          def sign? = !word.match?(/\A[[:alnum:]'’]/)
        end

        # text of one part between two signs: verb :: "v" when it has an auxiliary, and "w" when it
        #   asks; sign :: that ends it
        Part = Struct.new(:verb, :sign)

        PATTERN = /[[:alnum:]]+(?:[.,]\d+)*|['’](?:s|t|re|ll|ve|d|m)\b|[^[:space:][:alnum:]]/
        PART_END = /\A[,.?!:;()\-–]\z/
        SMALL = %w[
          a an the this that these those my our your his her its their some any no not every each all both either
          neither much many more most less fewer few least several other another such same than then as so too very just
          only even still ever never already yet again also i we you he she it they me us him them who whom whose which
          what when where why how whether if because since while until before after during in on at by for from of to
          with without within into onto over under up down out off between among amongst against through across about
          around near per via versus vs rather instead compared comparison or and but nor do does did done doing is are
          was were be been being am has have had having can could will would shall should may might must get gets got
          getting go goes going give gives given giving make makes made help helps need needs want wants know knows
          there here now one once ones anyone anybody someone somebody everybody everyone nobody nothing anything
          something everything
        ].to_h { |word| [word, "f:#{word}".freeze] }.freeze
        AUXILIARIES = %w[do does did can could will would should is are was were has have may might 's
                         won't isn't doesn't].freeze
        ASKING = %w[what which who how why when where whose].freeze
        private_constant :PATTERN, :PART_END, :AUXILIARIES, :ASKING

        def self.small?(word) = SMALL.key?(word)

        attr_reader :tokens, :parts, :text

        # text :: the question; classes :: Hash of word to an Array of class names; thesaurus ::
        #   Thesaurus, nil to leave names alone
        def initialize(text, classes, thesaurus = nil)
          @text = text
          @classes = classes
          @tokens = located(text).freeze
          number
          name(thesaurus) if thesaurus
          @parts = parts_of(@tokens)
          @ends = @tokens.group_by(&:sentence).transform_values { |some| some.last.word }
          @starts = @tokens.each_index.group_by { |place| @tokens[place].sentence }.transform_values(&:first)
        end

        def size = tokens.size
        def last_sentence = tokens.last.sentence

        # The place of the first token of a sentence, and the sign or word that ends it.
        def start(sentence) = @starts.fetch(sentence)
        def ending(sentence) = @ends.fetch(sentence)

        def asks?(sentence) = ending(sentence) == "?"

        # The words at a place, and what they say most; marks before the first and after the last.
        def word(place) = place.negative? ? "<s>" : tokens[place]&.word || "</s>"
        def kind(place) = place.negative? ? "<s>" : tokens[place]&.kind || "</s>"

        private

        def located(text)
          found = []
          text.scan(PATTERN) do
            match = Regexp.last_match
            word = match[0].downcase.tr("’", "'")
            classes = SMALL.key?(word) ? [] : classes_of(word)
            found << Token.new(match[0], word, match.begin(0), match.end(0), classes, kind_of(word, classes))
          end
          found
        end

        def classes_of(word)
          @classes[word] || @classes[word.sub(/e?s\z/, "")] || @classes[word.delete_suffix("s")] || []
        end

        def kind_of(word, classes)
          SMALL[word] || case word
                         when /\A\d/ then "9"
                         when /\A[^[:alnum:]]/ then word
                         else classes.first || "x"
                         end
        end

        # A full stop at the very end begins no sentence.
        def number
          sentence = part = 0
          tokens.each_with_index do |token, place|
            token.sentence = sentence
            token.part = part
            part += 1 if token.word.match?(PART_END)
            sentence += 1 if token.word.match?(/\A[.?!]\z/) && place < tokens.size - 1
          end
        end

        def name(thesaurus)
          Thesaurus::Reading.new(thesaurus).located(text).each do |from, to|
            branch = thesaurus.places(thesaurus.named(text[from...to]).label).first.first
            inside = tokens.select { |token| token.from >= from && token.to <= to }
            inside.each { |token| token.branch = branch }
            inside.first&.opens = true
          end
        end

        def parts_of(tokens)
          tokens.group_by(&:part).transform_values do |some|
            verb = some.any? { |token| AUXILIARIES.include?(token.word) } ? "v" : "f"
            asks = some.any? { |token| ASKING.include?(token.word) } ? "w" : ""
            Part.new(verb + asks, some.last.word.match?(PART_END) ? some.last.word : "$")
          end
        end
      end
    end
  end
end

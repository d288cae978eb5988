# frozen_string_literal: true

require "yaml"

module Hobrin
  module Tools
    module Learning
      # The questions that people wrote and marked, as YAML in tools/learning/questions.
      module Examples
        # id :: file and place in it; fold :: 0 to 4, nil when it is held out; spans :: Array of
        #   [element, first character, one past the last]
        Example = Struct.new(:id, :fold, :kind, :text, :spans)

        FOLDER = File.expand_path("questions", __dir__)
        FILES = %w[community hospital spoken].freeze
        FOLDS = 5
        private_constant :FOLDER

        class << self
          # All of them, in their order. Every fifth of each file is held out: nothing was tuned on
          # those. The others are dealt out in fives, so that a run of like questions stays together.
          def all
            FILES.flat_map do |file|
              rows = YAML.safe_load_file(File.join(FOLDER, "#{file}.yml"))
              rows.each_with_index.map do |row, place|
                held_out = place % FOLDS == FOLDS - 1
                Example.new("#{file} #{place + 1}", held_out ? nil : place / FOLDS % FOLDS,
                            row.fetch("kind"), row.fetch("text"), spans(row)).freeze
              end
            end
          end

          def tuned_on = all.select(&:fold)
          def held_out = all.reject(&:fold)

          private

          # Where a phrase stands twice, its first place is meant.
          def spans(row)
            Question::Understanding::States::ELEMENTS.flat_map do |key|
              row.fetch(key, []).map do |phrase|
                from = row["text"].index(phrase) or raise ArgumentError,
                                                          "#{phrase} is not in #{row["text"]}"
                [key, from, from + phrase.size]
              end
            end.sort_by { |span| span[1] }
          end
        end

        # An example as a trainer of labels reads it: the names of each token's features, those of a
        # beginning apart, and the states that its marks make.
        class Labelled
          U = Question::Understanding
          private_constant :U

          attr_reader :words, :beginnings, :states

          # kind :: that it is taken to be of; classes :: of words; thesaurus :: Thesaurus
          def initialize(example, kind, classes, thesaurus)
            sentence = U::Sentence.new(example.text, classes, thesaurus)
            names = U::TokenFeatures.new(sentence, kind).call
            @beginnings, @words = names.map do |some|
              some.partition do |name|
                name.start_with?("@")
              end
            end.transpose
            @states = states_of(labels(sentence, example.spans))
          end

          private

          def labels(sentence, spans)
            sentence.tokens.map do |token|
              key, from, = spans.find { |_, first, last| token.from < last && token.to > first }
              key ? U::States.label(U::States::ELEMENTS.index(key), first: token.from <= from) : 0
            end
          end

          def states_of(labels)
            labels.reduce([]) { |found, label| found << U::States.after(found.last || -1, label) }
          end
        end

        # A page of docs whose tables are made anew: each stands between two comments that name it.
        module MadeParts
          # text :: the page as it was; parts :: Hash of name to what stands there now. Gives the page.
          def self.put(text, parts)
            parts.reduce(text) do |now, (name, part)|
              now.sub(/(<!-- #{name}: [^\n]*-->\n).*?(<!-- end of #{name} -->)/m) do
                "#{::Regexp.last_match(1)}\n#{part}\n\n#{::Regexp.last_match(2)}"
              end
            end
          end
        end

        # More questions from those there are: each one again with some of its phrases replaced by
        # phrases of the same element from questions of the same kind. What stands around a phrase comes
        # to count for more, and what it names for less.
        class Swaps
          SHARE = 0.6
          private_constant :SHARE

          # examples :: those to take phrases from; seed :: Integer
          def initialize(examples, seed:)
            @phrases = Hash.new { |all, key| all[key] = [] }
            examples.each do |one|
              one.spans.each { |key, from, to| @phrases[[one.kind, key]] << one.text[from...to] }
            end
            @random = Random.new(seed)
          end

          # Gives a changed copy of an example.
          def call(example)
            text = +""
            at = 0
            spans = example.spans.map do |key, from, to|
              text << example.text[at...from]
              at = to
              start = text.size
              text << phrase(example, key, example.text[from...to])
              [key, start, text.size]
            end
            text << example.text[at..]
            Examples::Example.new(example.id, example.fold, example.kind, text.freeze, spans).freeze
          end

          private

          def phrase(example, key, own)
            return own if @random.rand >= SHARE

            other = @phrases[[example.kind, key]].sample(random: @random)
            like(own, other)
          end

          # With a capital where its forerunner had one.
          def like(own, other)
            return other[0].upcase + other[1..] if own.match?(/\A[A-Z][a-z]/) && other.match?(/\A[a-z]/)
            return other[0].downcase + other[1..] if own.match?(/\A[a-z]/) && other.match?(/\A[A-Z][a-z]/)

            other
          end
        end

        # The classes of words that the features use, written by hand: common words of the wards, their
        # people, troubles, things and tests. Common practice, no source.
        module WordClasses
          FILE = File.expand_path("word_classes.yml", __dir__)
          private_constant :FILE

          # Hash of word to an Array of its classes.
          def self.load
            YAML.safe_load_file(FILE).each_with_object({}) do |(name, words), all|
              words.split.each { |word| (all[word] ||= []) << name }
            end
          end
        end
      end
    end
  end
end

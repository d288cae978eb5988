# frozen_string_literal: true

module Hobrin
  module Learning
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
  end
end

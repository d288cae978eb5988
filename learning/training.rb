# frozen_string_literal: true

module Hobrin
  module Learning
    # From examples to what is shipped. The kind of a question is learnt first; the labels are then
    # learnt with the kind that the others of the examples would have given it, since that is what
    # they will be read with.
    class Training
      # swaps :: how many changed copies of each example are added; settings :: of FieldTrainer
      # kind_rounds :: of KindTrainer, its own when nil
      Way = Struct.new(:name, :swaps, :settings, :kind_rounds)

      SEED = 7
      WAYS = [
        Way.new("perceptron", 0, FieldTrainer::Settings.new(:perceptron, 12, 3, 0, SEED)),
        Way.new("random field", 0, FieldTrainer::Settings.new(:field, 15, 3, 0, SEED)),
        Way.new("random field, phrases swapped, names left out", 2,
                FieldTrainer::Settings.new(:field, 15, 10, 0.3, SEED))
      ].freeze
      CHOSEN = WAYS.last
      LEAST = 0.1
      private_constant :LEAST

      # examples :: Array of Examples::Example; thesaurus :: whose names are known while learning
      def initialize(examples, thesaurus:, way: CHOSEN)
        @examples = examples
        @thesaurus = thesaurus
        @way = way
        @classes = WordClasses.load
      end

      # Gives the text that Question::Understanding::Learned.parse reads.
      def call
        kinds = kind_trainer(@examples).call
        labels = FieldTrainer.new(labelled, @way.settings).call
        Question::Understanding::Learned.dump(
          classes: @classes, kinds:, **labels, words: heavy(labels[:words]), beginnings: heavy(labels[:beginnings])
        )
      end

      private

      def kind_trainer(examples)
        KindTrainer.new(examples, @classes, rounds: @way.kind_rounds || KindTrainer::ROUNDS)
      end

      # What weighs next to nothing is left out.
      def heavy(rows) = rows.select { |_, weights| weights.any? { |weight| weight.abs >= LEAST } }

      def labelled
        kinds = kinds_from_the_others
        swaps = Swaps.new(@examples, seed: SEED)
        @examples.flat_map do |one|
          copies = Array.new(@way.swaps) { swaps.call(one) }
          copies.map { |copy| Labelled.new(copy, kinds.fetch(one.id), @classes, @thesaurus) }
        end
      end

      def kinds_from_the_others
        parts = @examples.each_with_index.group_by { |_, place| place % Examples::FOLDS }.values
        parts.flat_map do |part|
          some = part.map(&:first)
          kinds = kind_trainer(@examples - some).call
          some.map { |one| [one.id, KindTrainer.guess(kinds, one.text, @classes)] }
        end.to_h
      end
    end
  end
end

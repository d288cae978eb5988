# frozen_string_literal: true

module Hobrin
  module Learning
    # How what is proposed compares with what was marked.
    class Measure
      # questions, marked, exact, touching, wrong, proposed, kinds :: counts. touching: marks of
      #   which a proposal for the same element holds the whole text, or a part of it; wrong:
      #   proposals that touch no mark of their element.
      Counts = Struct.new(:questions, :marked, :exact, :touching, :wrong, :proposed, :kinds) do
        def +(other) = self.class.new(*to_a.zip(other.to_a).map(&:sum))

        # Shares in percent, as tables show them.
        def shares
          { exact: exact.fdiv(marked), touching: touching.fdiv(marked), wrong: wrong.fdiv(marked),
            kind: kinds.fdiv(questions) }.transform_values { |share| (100 * share).round(1) }
        end
      end

      NONE = Counts.new(*Array.new(7, 0)).freeze

      # understanding :: anything with `proposals(text)` and `kind(text)`, as
      #   Question::Understanding has
      def initialize(understanding)
        @understanding = understanding
      end

      # examples :: Array of Examples::Example. Gives Counts.
      def call(examples) = examples.map { |one| one(one) }.sum(NONE)

      def one(example)
        marked, found = example.spans, proposed(example)
        Counts.new(1, marked.size, (marked & found).size, touching(marked, found).size,
                   (found - touching(found, marked)).size, found.size,
                   @understanding.kind(example.text)&.kind&.key == example.kind ? 1 : 0)
      end

      # What is proposed for an example, as its marks are written.
      def proposed(example)
        @understanding.proposals(example.text).map do |one|
          [one.key, one.phrase.from, one.phrase.to]
        end
      end

      private

      # Those of some spans that hold one of the others whole, or are held by it.
      def touching(some, others)
        some.select { |one| others.any? { |other| within?(one, other) || within?(other, one) } }
      end

      def within?(one, other) = one[0] == other[0] && one[1] >= other[1] && one[2] <= other[2]
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # The best of all ways to label the words of a question (Viterbi 1967, from memory).
      class BestWay
        OUT = -1e300
        private_constant :OUT

        # As Lattice has them.
        def initialize(words:, beginnings:, transitions:)
          @words = words
          @beginnings = beginnings
          @transitions = transitions
        end

        # Gives a place of States::ALL for each word.
        def call
          scores = first
          came = (1...@words.size).map do |at|
            ways = States::INTO.map { |entry| best(at, entry, scores) }
            scores = ways.map(&:first)
            ways.map(&:last)
          end
          came.reverse.reduce([scores.each_index.max_by { |place| scores[place] }]) do |found, from|
            [from[found.first], *found]
          end
        end

        private

        def first
          scores = Array.new(States::ALL.size, OUT)
          States::FIRST.each do |step|
            label = States::ALL[step.to].label
            begun = States.begins?(label) ? @beginnings[0][0][States.element(label)] : 0.0
            scores[step.to] = @words[0][label] + @transitions[step.number] + begun
          end
          scores
        end

        # [score of the best way to a state, the state that it comes from].
        def best(at, entry, scores)
          best, from = OUT, 0
          begun = entry.element && @beginnings[at]
          by = -1
          while (before = entry.from[by += 1])
            score = scores[before] + @transitions[entry.numbers[by]]
            score += begun[entry.lasts[by]][entry.element] if begun
            best, from = score, before if score > best
          end
          [best + @words[at][entry.label], from]
        end
      end
    end
  end
end

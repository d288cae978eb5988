# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # All ways to label the words of one question, scored: the best one, and how probable each
      # label of each word is over all of them. A linear-chain conditional random field; see
      # Lafferty, McCallum and Pereira 2001, from memory.
      class Lattice
        # words       :: for each word, at least one, an Array of a score for each of States::LABELS
        # beginnings  :: for each word, for each of States::LAST, an Array of a score for a phrase
        #   of each element that begins there
        # transitions :: a score for each of States::STEPS
        def initialize(words:, beginnings:, transitions:)
          @words = words
          @beginnings = beginnings
          @transitions = transitions
        end

        # The labels of the best way, one a word.
        def best = best_states.map { |place| States::ALL[place].label }

        # The best way as places of States::ALL.
        def best_states
          BestWay.new(words: @words, beginnings: @beginnings, transitions: @transitions).call
        end

        # For each word an Array of the probability of each label.
        def probabilities
          weigh
          @words.each_index.map do |at|
            sums = Array.new(States::LABELS.size, 0.0)
            States::ALL.each_with_index do |state, place|
              sums[state.label] += @forward[at][place] * @backward[at][place]
            end
            total = sums.sum
            sums.map { |sum| sum / total }
          end
        end

        # How often each step is expected to be taken, and for each word how probable it is that a
        # phrase of each element begins there, for each element that may have been named last; as
        # flat as the weights are: States::LAST times States::ELEMENTS.
        def expected
          weigh
          steps = Array.new(States::STEPS.size, 0.0)
          beginnings = @words.map { Array.new(States::LAST.size * States::ELEMENTS.size, 0.0) }
          expect_first(steps, beginnings[0])
          (1...@words.size).each { |at| expect(at, steps, beginnings[at]) }
          [steps, beginnings]
        end

        private

        # Scores as factors. Those of a word are taken relative to its highest one, and the ways so
        # far are scaled to 1 at each word, so that nothing grows past what a Float holds.
        def weigh
          return if @forward

          @of_word = @words.map { |scores| scores.max.then { |top| scores.map { |score| Math.exp(score - top) } } }
          @of_step = @transitions.map { |transition| Math.exp(transition) }
          @of_beginning = @beginnings.map { |lasts| lasts.map { |scores| scores.map { |score| Math.exp(score) } } }
          go_forward
          go_backward
        end

        def go_forward
          @scale = [1.0]
          @forward = [Array.new(States::ALL.size, 0.0)]
          States::FIRST.each { |step| @forward[0][step.to] = first_factor(step) }
          (1...@words.size).each do |at|
            now = States::INTO.map { |entry| @of_word[at][entry.label] * arriving(at, entry, @forward.last) }
            @scale << now.sum
            @forward << now.map { |weight| weight / @scale.last }
          end
        end

        def first_factor(step)
          label = States::ALL[step.to].label
          begun = States.begins?(label) ? @of_beginning[0][0][States.element(label)] : 1.0
          @of_word[0][label] * @of_step[step.number] * begun
        end

        # What all ways that come to a state bring, before the word itself is weighed.
        def arriving(at, entry, before)
          sum = 0.0
          by = entry.from.size
          begun = entry.element && @of_beginning[at]
          while (by -= 1) >= 0
            one = before[entry.from[by]] * @of_step[entry.numbers[by]]
            one *= begun[entry.lasts[by]][entry.element] if begun
            sum += one
          end
          sum
        end

        def go_backward
          @backward = Array.new(@words.size) { Array.new(States::ALL.size, 1.0) }
          (@words.size - 1).downto(1) do |at|
            now = Array.new(States::ALL.size, 0.0)
            States::INTO.each_with_index do |entry, to|
              leaving(at, entry, @of_word[at][entry.label] * @backward[at][to], now)
            end
            top = now.max
            @backward[at - 1] = now.map! { |weight| weight / top }
          end
        end

        # Adds to each state that a way comes from what the way is worth from there on.
        def leaving(at, entry, worth, now)
          by = entry.from.size
          begun = entry.element && @of_beginning[at]
          while (by -= 1) >= 0
            one = worth * @of_step[entry.numbers[by]]
            one *= begun[entry.lasts[by]][entry.element] if begun
            now[entry.from[by]] += one
          end
        end

        # Yields each step to a word as [state before, state, factor, number, last, element].
        def each_factor(at)
          States::INTO.each_with_index do |entry, to|
            word = @of_word[at][entry.label]
            entry.from.each_with_index do |from, by|
              factor = word * @of_step[entry.numbers[by]]
              factor *= @of_beginning[at][entry.lasts[by]][entry.element] if entry.element
              yield from, to, factor, entry.numbers[by], entry.lasts[by], entry.element
            end
          end
        end

        def expect_first(steps, beginnings)
          total = both(0)
          States::FIRST.each do |step|
            label = States::ALL[step.to].label
            share = @forward[0][step.to] * @backward[0][step.to] / total
            steps[step.number] += share
            beginnings[States.element(label)] += share if States.begins?(label)
          end
        end

        def expect(at, steps, beginnings)
          before, after = @forward[at - 1], @backward[at]
          total = both(at) * @scale[at]
          each_factor(at) do |from, to, factor, number, last, element|
            share = before[from] * factor * after[to] / total
            steps[number] += share
            beginnings[(last * States::ELEMENTS.size) + element] += share if element
          end
        end

        def both(at) = @forward[at].each_index.sum { |place| @forward[at][place] * @backward[at][place] }

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
end

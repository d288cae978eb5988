# frozen_string_literal: true

module Hobrin
  module Tools
    module Learning
      # Learns how much each name of TokenFeatures speaks for each label, by going through the
      # examples one at a time and moving the weights towards what was marked: as a conditional random
      # field (each weight at its own rate, AdaGrad, Duchi and others 2011; the weights of the later
      # rounds averaged; some names left out by chance, so that none is leant on alone), or as a
      # structured perceptron (Collins 2002), to compare. Both from memory.
      class FieldTrainer
        U = Question::Understanding
        LABELS = U::States::LABELS.size
        BEGINNINGS = U::States::LAST.size * U::States::ELEMENTS.size
        RATE = 0.05
        PULL = 1e-3
        SMALL = 1e-3
        private_constant :U, :LABELS, :BEGINNINGS, :RATE, :PULL, :SMALL

        # way :: :field or :perceptron; rounds :: how often through all examples; rare :: names seen
        #   less often are left out; left_out :: share of names left out by chance each time
        Settings = Struct.new(:way, :rounds, :rare, :left_out, :seed)

        # labelled :: Array of Labelled
        def initialize(labelled, settings)
          @settings = settings
          @random = Random.new(settings.seed)
          @numbers = numbers(labelled.map(&:words))
          @starts = numbers(labelled.map(&:beginnings))
          @rows = labelled.map { |one| coded(one) }
        end

        # Gives { words:, beginnings:, transitions: } as Learned.dump takes them.
        def call
          @words = Table.new(@numbers.size * LABELS)
          @beginnings = Table.new(@starts.size * BEGINNINGS)
          @steps = Table.new(U::States::STEPS.size)
          @settings.rounds.times do |round|
            tables.each(&:keep) if round > @settings.rounds / 3
            @rows.shuffle(random: @random).each { |row| learn(row) }
          end
          tables.each(&:keep)
          { words: named(@numbers, @words, LABELS), beginnings: named(@starts, @beginnings, BEGINNINGS),
            transitions: @steps.mean }
        end

        private

        Row = Struct.new(:words, :beginnings, :states)
        private_constant :Row

        def tables = [@words, @beginnings, @steps]

        def numbers(rows)
          counts = rows.flatten.tally
          counts.select { |_, count| count >= @settings.rare }.keys.each_with_index.to_h
        end

        def coded(one)
          Row.new(one.words.map { |names| names.filter_map { |name| @numbers[name] } },
                  one.beginnings.map do |names|
                    names.filter_map do |name|
                      @starts[name]
                    end
                  end, one.states)
        end

        def named(numbers, table, size)
          mean = table.mean
          numbers.to_h { |name, number| [name, mean[number * size, size]] }
        end

        def learn(row)
          words = row.words.map { |some| thinned(some) }
          lattice = lattice(words, row.beginnings)
          changes = @settings.way == :field ? expected(lattice, row) : mistaken(lattice, row)
          move(words, row.beginnings, changes) if changes
        end

        def thinned(numbers)
          return numbers if @settings.left_out.zero?

          numbers.select { @random.rand >= @settings.left_out }
        end

        def lattice(words, beginnings)
          words = words.map { |names| @words.sums(names, LABELS) }
          beginnings = beginnings.map do |names|
            @beginnings.sums(names, BEGINNINGS).each_slice(U::States::ELEMENTS.size).to_a
          end
          U::Lattice.new(words:, beginnings:, transitions: @steps.weights)
        end

        # What was marked less what is expected: [of each word's labels, of each word's beginnings, of
        # steps].
        def expected(lattice, row)
          labels = lattice.probabilities.map { |some| some.map(&:-@) }
          steps, beginnings = lattice.expected
          steps.map!(&:-@)
          beginnings.each { |some| some.map!(&:-@) }
          add_states(row.states, 1.0, labels, beginnings, steps)
        end

        # What was marked less the best way as things stand; nil when that is right.
        def mistaken(lattice, row)
          best = lattice.best_states
          return if best == row.states

          empty = [Array.new(best.size) { Array.new(LABELS, 0.0) }, Array.new(best.size) { Array.new(BEGINNINGS, 0.0) },
                   Array.new(U::States::STEPS.size, 0.0)]
          add_states(best, -1.0, *empty)
          add_states(row.states, 1.0, *empty)
        end

        def add_states(states, by, labels, beginnings, steps)
          from = -1
          states.each_with_index do |to, at|
            labels[at][U::States::ALL[to].label] += by
            number = U::States::NUMBERS.fetch([from, to])
            steps[number] += by
            add_beginning(beginnings[at], U::States::STEPS[number], by)
            from = to
          end
          [labels, beginnings, steps]
        end

        def add_beginning(row, step, by)
          label = U::States::ALL[step.to].label
          return unless U::States.begins?(label)

          last = step.from.negative? ? 0 : U::States::ALL[step.from].last
          row[(last * U::States::ELEMENTS.size) + U::States.element(label)] += by
        end

        def move(words, beginnings, (of_words, of_beginnings, of_steps))
          pull = @settings.way == :field ? PULL : nil
          words.each_with_index { |some, at| @words.move(some, LABELS, of_words[at], pull) }
          beginnings.each_with_index do |some, at|
            @beginnings.move(some, BEGINNINGS, of_beginnings[at], pull)
          end
          @steps.move([0], of_steps.size, of_steps, pull)
        end

        # Weights in rows of a size, each with how far it has moved and the mean of what was kept.
        class Table
          attr_reader :weights

          def initialize(size)
            @weights = Array.new(size, 0.0)
            @moved = Array.new(size, 0.0)
            @kept = Array.new(size, 0.0)
            @times = 0
          end

          def keep
            @times += 1
            @weights.each_with_index { |weight, place| @kept[place] += weight }
          end

          def mean = @kept.map { |sum| sum / @times }

          def sums(numbers, size)
            sums = Array.new(size, 0.0)
            numbers.each do |number|
              place = number * size
              by = 0
              while by < size
                sums[by] += @weights[place + by]
                by += 1
              end
            end
            sums
          end

          # pull :: how hard a weight is drawn to nothing when it moves; nil to move by the whole
          #   slope
          def move(numbers, size, slopes, pull)
            moving = (0...size).select { |by| slopes[by].abs > SMALL }
            numbers.each do |number|
              moving.each { |by| shift((number * size) + by, slopes[by], pull) }
            end
          end

          private

          def shift(place, slope, pull)
            return @weights[place] += slope unless pull

            slope -= pull * @weights[place]
            moved = @moved[place] += slope * slope
            @weights[place] += RATE * slope / (Math.sqrt(moved) + 1e-6)
          end
        end
        private_constant :Table
      end
    end
  end
end

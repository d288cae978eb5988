# frozen_string_literal: true

require "yaml"

module Hobrin
  module Tools
    module Learning
      # Learns how much each name of KindFeatures speaks for each kind of question: a log-linear
      # model, its weights drawn towards a prior (what KindCues says before anything is learnt,
      # nothing for the rest) and made to fit by Adam over all examples at once (Kingma and Ba 2015,
      # from memory).
      class KindTrainer
        KINDS = Question::Kind::ALL.map(&:key).freeze
        ROUNDS = 120
        RARE = 2
        RATE = 0.1
        LAST_ROUNDS = 0.6
        # How hard weights are drawn: of cues, of classes, of single words and pairs.
        PULL = { cue: 0.005, class: 0.1, word: 0.2 }.freeze
        BESIDE = 0.4
        private_constant :RARE, :RATE, :LAST_ROUNDS, :PULL, :BESIDE

        # The key of the kind that weights, as `call` gives them, make of a text.
        def self.guess(weights, text, classes)
          sentence = Question::Understanding::Sentence.new(text, classes)
          rows = Question::Understanding::KindFeatures.new(sentence).call.filter_map { |name| weights[name] }
          KINDS[KINDS.each_index.max_by { |kind| rows.sum { |row| row[kind] } }]
        end

        # Questions of our own, by their kind; see the file.
        OWN = YAML.safe_load_file(File.expand_path("own_kinds.yml", __dir__)).freeze
        private_constant :OWN

        # examples :: Array of Examples::Example; classes :: of words; rounds :: how often all are
        #   gone through
        def initialize(examples, classes, rounds: ROUNDS)
          @rounds = rounds
          own = OWN.flat_map { |kind, texts| texts.map { |text| [text, kind] } }
          @rows = (examples.map { |one| [one.text, one.kind] } + own).map do |text, kind|
            sentence = Question::Understanding::Sentence.new(text, classes)
            [Question::Understanding::KindFeatures.new(sentence).call, KINDS.index(kind)]
          end
        end

        # Gives a Hash of name to an Array of weights, one for each kind.
        def call
          counts = @rows.flat_map(&:first).tally
          @numbers = counts.select { |_, count| count >= RARE }.keys.each_with_index.to_h
          @coded = @rows.map { |names, kind| [names.filter_map { |name| @numbers[name] }, kind] }
          fit
          @numbers.to_h { |name, number| [name, @weights[number * KINDS.size, KINDS.size]] }
        end

        private

        def fit
          @prior = prior
          @pull = @numbers.keys.flat_map { |name| [PULL.fetch(sort(name))] * KINDS.size }
          @weights = @prior.dup
          @mean = Array.new(@weights.size, 0.0)
          @spread = Array.new(@weights.size, 0.0)
          (1..@rounds).each { |round| step(gradient, round) }
        end

        def sort(name)
          return :cue if name.match?(/\A(?:C+=|D=|N=|b\z)/)

          name.match?(/\A(?:q1C|c)=/) ? :class : :word
        end

        def prior
          weights = Array.new(@numbers.size * KINDS.size, 0.0)
          Question::Understanding::KindCues::ALL.each do |name, cue|
            next unless cue.kind

            { "C=#{name}" => 1.0, "D=#{name}" => BESIDE }.each do |feature, share|
              number = @numbers[feature] or next
              weights[(number * KINDS.size) + KINDS.index(cue.kind)] = cue.prior * share
            end
          end
          weights
        end

        def gradient
          sums = Array.new(@weights.size, 0.0)
          @coded.each do |numbers, kind|
            errors = errors(numbers, kind)
            numbers.each do |number|
              place = number * KINDS.size
              errors.each_with_index { |error, by| sums[place + by] += error }
            end
          end
          sums
        end

        # For each kind how much too little it was thought probable.
        def errors(numbers, kind)
          scores = KINDS.each_index.map do |by|
            numbers.sum { |number| @weights[(number * KINDS.size) + by] }
          end
          weights = scores.map { |score| Math.exp(score - scores.max) }
          total = weights.sum
          weights.each_with_index.map { |weight, by| (by == kind ? 1.0 : 0.0) - (weight / total) }
        end

        def step(gradient, round)
          rate = RATE * (round > @rounds * LAST_ROUNDS ? 0.2 : 1.0)
          early, late = 1 - (0.9**round), 1 - (0.99**round)
          gradient.each_with_index do |slope, place|
            slope -= @pull[place] * (@weights[place] - @prior[place])
            mean = @mean[place] = (0.9 * @mean[place]) + (0.1 * slope)
            spread = @spread[place] = (0.99 * @spread[place]) + (0.01 * slope * slope)
            @weights[place] += rate * (mean / early) / (Math.sqrt(spread / late) + 1e-3)
          end
        end
      end
    end
  end
end

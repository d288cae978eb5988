# frozen_string_literal: true

require "parallel"
require "yaml"
require "zlib"

module Hobrin
  module Tools
    module Learning
      # Makes what is shipped and all figures of docs/asking.md anew: every way of learning by
      # cross-validation, the chosen one on the questions held out, how it grows with the number of
      # questions. Takes most of an hour.
      class Study
        SHIPPED = File.expand_path("../../config/learned.txt.gz", __dir__)
        FOUR_FIFTHS = File.expand_path("../../spec/fixtures/learned_from_four_fifths.txt.gz", __dir__)
        FIGURES = File.expand_path("figures.yml", __dir__)
        PARTS = [0.25, 0.5, 0.75].freeze
        WORKERS = 2
        private_constant :PARTS, :WORKERS

        # thesaurus :: Thesaurus, whose names are known while learning and measuring
        def initialize(thesaurus:, out: $stdout)
          @thesaurus = thesaurus
          @out = out
        end

        def call
          counts = Parallel.map(jobs, in_processes: WORKERS) { |job| [job.first, *run(*job)] }
          File.write(FIGURES, figures(counts).to_yaml)
        end

        private

        # [what it is for, examples to learn from, those to measure on, the way, a file to keep it in]
        def jobs
          all, tuned_on, held_out = Examples.all, Examples.tuned_on, Examples.held_out
          [[:shipped, all, [], Training::CHOSEN, SHIPPED],
           [:held_out, tuned_on, held_out, Training::CHOSEN, FOUR_FIFTHS],
           *Training::WAYS.reverse.flat_map { |way| folds(tuned_on, way) },
           *PARTS.map { |part| [part, part_of(tuned_on, part), held_out, Training::CHOSEN, nil] }]
        end

        def folds(examples, way)
          Array.new(Examples::FOLDS) do |fold|
            tested, learned = examples.partition { |one| one.fold == fold }
            [way.name, learned, tested, way, nil]
          end
        end

        # The same share of each file, spread evenly.
        def part_of(examples, part)
          examples.each_with_index.select { |_, place| ((place + 1) * part).floor > (place * part).floor }.map(&:first)
        end

        def run(name, learned, tested, way, file)
          text = Training.new(learned, way:, thesaurus: @thesaurus).call
          keep(file, text) if file
          understanding = Question::Understanding.new(Question::Understanding::Learned.parse(text),
                                                      @thesaurus)
          counts = Measure.new(understanding).call(tested)
          @out.puts "#{name}: learnt from #{learned.size}, #{counts.shares}" unless tested.empty?
          @out.flush
          [learned.size, counts]
        end

        # The same file for the same text: no time in it.
        def keep(file, text)
          packed = Zlib::GzipWriter.wrap(StringIO.new, Zlib::BEST_COMPRESSION) do |gzip|
            gzip.mtime = 1
            gzip.write(text)
            gzip.finish
          end
          File.binwrite(file, packed.string)
        end

        def figures(rows)
          summed = rows.group_by(&:first).transform_values { |some| some.sum(Measure::NONE) { |_, _, counts| counts } }
          sizes = rows.to_h { |name, size, _| [name, size] }
          { "ways" => Training::WAYS.to_h { |way| [way.name, plain(summed.fetch(way.name))] },
            "held out" => plain(summed.fetch(:held_out)),
            "curve" => [*PARTS, :held_out].to_h { |part| [sizes.fetch(part), plain(summed.fetch(part))] } }
        end

        def plain(counts) = counts.to_h.transform_keys(&:to_s)

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
            @classes = Examples::WordClasses.load
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
            swaps = Examples::Swaps.new(@examples, seed: SEED)
            @examples.flat_map do |one|
              copies = Array.new(@way.swaps) { swaps.call(one) }
              copies.map { |copy| Examples::Labelled.new(copy, kinds.fetch(one.id), @classes, @thesaurus) }
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
  end
end

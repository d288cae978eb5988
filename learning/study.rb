# frozen_string_literal: true

require "parallel"
require "yaml"
require "zlib"

module Hobrin
  module Learning
    # Makes what is shipped and all figures of docs/asking.md anew: every way of learning by
    # cross-validation, the chosen one on the questions held out, how it grows with the number of
    # questions. Takes most of an hour.
    class Study
      SHIPPED = File.expand_path("learned.txt.gz", __dir__)
      FOUR_FIFTHS = File.expand_path("../spec/fixtures/learned_from_four_fifths.txt.gz", __dir__)
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
    end
  end
end

# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    # The made-up papers: those around the main inquiry, written by hand, and those around them, made from
    # topics.yml. The same seed gives the same library, to the letter.
    class SampleLibrary
      SEED = 4646
      FOLDER = __dir__
      private_constant :SEED, :FOLDER

      def initialize(seed: SEED)
        @random = Random.new(seed)
        @printing = Printing.new(names: load("names"), random: @random)
      end

      # Gives an Array of Records::Record, the handwritten ones first.
      def records
        handwritten + generated
      end

      private

      def load(name) = YAML.safe_load_file(File.join(FOLDER, "#{name}.yml"))

      def handwritten
        load("papers").map do |row|
          headings = row.fetch("headings", []).map do |label|
            Records::Indexing.new(label: label.delete_prefix("*"), main: label.start_with?("*"))
          end
          @printing.record(
            key: row["key"], title: row["title"], abstract: row["text"], types: row["types"], headings:,
            ages: row.fetch("ages", []),
            species: row.fetch("species", ["humans"]), published: row["published"], keywords: row["keywords"],
            **row.slice("added", "language", "country", "journal").transform_keys(&:to_sym)
          )
        end
      end

      def generated
        data = load("topics")
        place = 0
        data["topics"].flat_map do |topic|
          Array.new(topic["papers"]) do
            parts = %w[people interventions outcomes].to_h { |part| [part.to_sym, data[part][pick(topic[part])]] }
            @printing.record(key: format("%04d", place += 1),
                             **Study.new(**parts, designs: topic["designs"], random: @random).call)
          end
        end
      end

      def pick(list) = list[@random.rand(list.size)]
    end
  end
end

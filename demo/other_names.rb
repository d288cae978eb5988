# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    # What a paper calls a thing: by its year, by its country, and by who wrote it. One name runs
    # through a paper, so that who searches with another one misses it.
    class OtherNames
      FILE = File.expand_path("other_names.yml", __dir__)
      # The years from which the oldest names come, and over which the newer ones spread.
      FIRST = 1996
      YEARS = 31.0
      # How far two papers of one year may lie apart, as a share of all names.
      SPREAD = 0.55
      # A country leans to older or newer names by up to three of these.
      LEANING = 0.06
      private_constant :FILE, :FIRST, :YEARS, :SPREAD, :LEANING

      def initialize
        @data = YAML.safe_load_file(FILE)
      end

      # kind :: "people", "interventions" or "outcomes"; key :: as in topics.yml; thing :: what stands
      #   there. Gives the thing under its name in such a paper, with `short` where it has an
      #   abbreviation.
      def call(kind, key, thing, year:, country:, random:)
        known = @data.fetch(kind).fetch(key, {})
        names = known.fetch("names", [nil])
        names = [*names, nil] unless names.include?(nil)
        at = ((year - FIRST) / YEARS) + leaning(country) + (SPREAD * ((2 * random.rand) - 1))
        name = names[(at.clamp(0.0, 0.999) * names.size).floor]
        named(thing, name).merge("short" => name ? nil : known["short"])
      end

      private

      def leaning(country) = ((country.sum % 7) - 3) * LEANING

      # What happened to people is told by the same name.
      def named(thing, name)
        return thing unless name

        told = thing["event"]
        words = thing["text"].scan(/[a-z]{5,}/).map { |word| word[0, 5] }
        told = "had #{name}" if told && words.any? { |word| told.include?(word) }
        { **thing, "text" => name, "event" => told }
      end
    end
  end
end

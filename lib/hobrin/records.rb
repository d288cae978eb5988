# frozen_string_literal: true

require "iso-639"

module Hobrin
  # What the library knows of a paper, and the fixed lists that its parts come from.
  module Records
    # One author as printed: family name, given name or initials, what comes behind the name ("Jr.")
    # and what stands between the two but does not count in sorting ("de"), and whether the record
    # says that they are a nurse.
    class Author < Value
      # The first letter of each part of a given name.
      INITIAL = /(?<![^\s.-])[^\s.-]/
      private_constant :INITIAL

      attributes :family, :given, :nurse, :suffix, :particle

      def initialize(family:, given: nil, nurse: false, suffix: nil, particle: nil)
        @family = family.frozen? ? family : family.dup.freeze
        @given = given.frozen? ? given : given.dup.freeze
        @nurse = nurse ? true : false
        @suffix = suffix&.dup.freeze
        @particle = particle&.dup.freeze
        freeze
      end

      # "Family AB", as a reference list prints it.
      def short = [family, initials, suffix.to_s].reject(&:empty?).join(" ")

      # "Ludwig van", for formats that have no place for the particle; nil for nothing.
      def given_and_particle
        both = [given, particle].compact.join(" ")
        both unless both.empty?
      end

      def initials = self.class.initials(given)

      # given :: String or nil
      def self.initials(given) = given.to_s.scan(INITIAL).join
    end

    # A heading as an indexer put it on one record: the heading's label, whether it is a main topic
    # of that record, and the aspects under which it is treated.
    #
    # stands_for :: where names from outside stand for it, since a person said so: Array of all in
    #   whose place it stands, each as it was, a String for a keyword and an Indexing for a heading,
    #   which may be of its own label; else empty
    class Indexing < Value
      attributes :label, :main, :aspects, :stands_for

      def initialize(label:, main: false, aspects: [], stands_for: [])
        @label = label.frozen? ? label : label.dup.freeze
        @main = main ? true : false
        @aspects = aspects.empty? ? [].freeze : aspects.map { |aspect| aspect.dup.freeze }.freeze
        @stands_for = stands_for.empty? ? [].freeze : stands_for.map(&:freeze).freeze
        freeze
      end

      # All that it is made of, itself where no name from outside stands for it.
      def parts = stands_for.empty? ? [self] : stands_for
    end

    # A DOI in one spelling, so that two ways of writing it are the same.
    module Doi
      ADDRESS = %r{\A(?:https?://(?:dx\.)?doi\.org/|doi:\s*)}i
      private_constant :ADDRESS

      # text :: with its address or without, in any case.
      #
      #   Doi.plain("https://doi.org/10.5555/A") # => "10.5555/a"
      def self.plain(text) = text.to_s.strip.sub(ADDRESS, "").downcase
    end

    # The trade's ten age groups and what each means.
    module AgeGroups
      MEANINGS = {
        "newborn" => "birth to 1 month", "infant" => "1 to 23 months", "preschool" => "2 to 5 years",
        "child" => "6 to 12 years", "adolescent" => "13 to 18 years", "young adult" => "19 to 24 years",
        "adult" => "19 to 44 years", "middle aged" => "45 to 64 years", "aged" => "65 years and over",
        "80 and over" => "80 years and over"
      }.freeze

      ALL = MEANINGS.keys.freeze

      # The groups that the words "adult, 19 and over" take in.
      ADULTS = ["young adult", "adult", "middle aged", "aged", "80 and over"].freeze
    end

    # Yes/no facts of a record. The last three are read off the record itself, the others are stated
    # by its source.
    module Flags
      RETRACTED = "retracted"
      FREE = "free full text"
      STATED = ["peer reviewed", "research article", "nursing journal", FREE, RETRACTED].freeze
      ALL = [*STATED, "has abstract", "nurse author", "nurse first author"].freeze

      # record :: a Record. Gives the flags that are true of it.
      def self.of(record)
        [*(record.flags & STATED), *("has abstract" unless record.abstract.to_s.strip.empty?),
         *("nurse author" if record.authors.any?(&:nurse)),
         *("nurse first author" if record.authors.first&.nurse)]
      end
    end

    # Languages by their ISO 639-2 code; where the standard has two, the terminologic one ("fra",
    # not "fre").
    module Languages
      ENTRIES = ISO_639::ISO_639_2.reject { |entry| entry.alpha3.include?("-") }
      CODE = ->(entry) { [entry.alpha3_terminologic, entry.alpha3].find { |code| !code.to_s.empty? }.dup.freeze }
      NAMES = ENTRIES.to_h { |entry| [CODE.call(entry), entry.english_name.dup.freeze] }.freeze
      CODES = NAMES.keys.freeze
      OTHER_CODES = ENTRIES.flat_map do |entry|
        code = [entry.alpha3_terminologic, entry.alpha3].find { |code| !code.to_s.empty? }
        [entry.alpha3, entry.alpha2, *entry.english_name.split("; ")].reject(&:empty?).map do |name|
          [name.downcase, code]
        end
      end.to_h.freeze
      private_constant :ENTRIES, :CODE, :OTHER_CODES

      class << self
        # A code of either kind, a two-letter code or an English name in; the code out, or nil.
        #
        #   Languages.code("French") # => "fra"
        def code(name) = NAMES.key?(name) ? name : OTHER_CODES[name.to_s.strip.downcase]

        # Every name and code that leads to a language.
        def names = OTHER_CODES.keys

        # "French", or the code itself when it is not known.
        def name(code) = NAMES.fetch(code, code).split("; ").first
      end
    end

    # The study and publication types a record may carry, in the order a reader would look for them.
    module StudyTypes
      ALL = ["systematic review", "meta-analysis", "randomized controlled trial", "controlled trial",
             "diagnostic accuracy study", "cohort study", "case-control study", "cross-sectional study",
             "before-and-after study", "qualitative study", "cost analysis", "case report", "guideline",
             "narrative review", "protocol", "editorial", "letter"].freeze
    end
  end
end

# frozen_string_literal: true

require "i18n"

module Hobrin
  # Every text that a person reads, by its key. The first part of a key names the file: "narrow.target.set" stands in
  # config/locales/en/narrow.yml. A file is read when one of its texts is first asked for.
  #
  #   Book.t("narrow.target.set")               # => "Set"
  #   Book.t("common.papers", count: 1234)      # => "1 234 papers", of its forms `one` and `other`
  module Book
    FOLDER = File.expand_path("../../config/locales", __dir__)
    # In this language every text stands in brackets and is a third longer, so that what is not of the book shows.
    PSEUDO = :pseudo
    # A language falls back to English, text by text.
    ENGLISH = :en
    LANGUAGE = ENV.fetch("HOBRIN_LOCALE", "en").to_sym
    THIN_SPACE = "\u2009"
    GAP = /%\{(\w+)\}/
    private_constant :FOLDER, :PSEUDO, :ENGLISH, :LANGUAGE, :THIN_SPACE, :GAP

    # Reads the files of its languages one by one, as they are needed. It is not the backend that other libraries
    # share: what they load, or load anew, leaves the book as it is.
    class Backend < I18n::Backend::Simple
      include I18n::Backend::Pluralization

      # languages :: Symbols, the one that is shown first
      def initialize(languages)
        super()
        @languages = languages
        @read = {}
        @texts = {}
        @lock = Monitor.new
      end

      # What stands under a key: a String, a Hash of plural forms, or nil. Looked up once.
      def text(key)
        @texts.fetch(key) do
          read(key[/\A[^.]+/])
          found = @languages.lazy.filter_map { |language| lookup(language, key) }.first
          found = nil unless found.is_a?(String) || found&.key?(:other)
          @texts[key] = (@languages.first == PSEUDO ? stretched(found) : found).freeze
        end
      end

      # forms :: of a text, as the language needs them
      def form(forms, count) = pluralize(@languages.first, forms, count)

      # place :: the first part of a key
      def read(place)
        return if @read[place]

        @lock.synchronize do
          load_translations(*@languages.flat_map { |language| Dir[File.join(FOLDER, language.to_s, "#{place}.{yml,rb}")] })
          @read[place] = true
        end
      end

      # "Save" => "[Save~]"
      def stretched(found)
        case found
        when String then found.strip.empty? ? found : "[#{found}#{" ~~~~" * (found.size / 15)}#{"~" * (found.size % 15 / 3)}]"
        when Hash then found.transform_values { |form| stretched(form) }
        end
      end

      # Which form a number takes: the rule in FOLDER/CODE/i18n.rb, if the language has one of its own.
      def pluralizer(locale)
        read("i18n")
        lookup(locale, "i18n.plural.rule")
      end

      def initialized? = true
      def available_locales = @languages
    end
    private_constant :Backend

    BACKEND = Backend.new([LANGUAGE, ENGLISH].uniq)
    private_constant :BACKEND
    I18n.enforce_available_locales = false

    class << self
      # key :: as "place.thing.text"; gaps :: Hash of name to what stands in that gap. Whole numbers are printed with a
      # thin space between thousands; `count` also chooses the plural form.
      # Raises KeyError for a key that the book lacks, and for a gap that is left open.
      def t(key, **gaps)
        text = BACKEND.text(key) or raise KeyError, "The book has no text #{key}"
        text = BACKEND.form(text, gaps.fetch(:count)) if text.is_a?(Hash)
        return text unless text.include?("%{")

        text.gsub(GAP) { shown(gaps.fetch(Regexp.last_match(1).to_sym)) }
      end

      # Whether the book has a text of that key.
      def has?(key) = !BACKEND.text(key).nil?

      # What keys are called: a Hash of each key to its text. place :: as "question.use"
      def names(place, keys) = keys.to_h { |key| [key, t("#{place}.#{key}").freeze] }.freeze

      # texts :: Array of Strings. Gives "P", "P and I", "P, I and O".
      def list(texts, joined: "common.and")
        return texts.join if texts.size < 2

        [texts[0...-1].join(", "), t(joined), texts.last].join(" ")
      end

      # Reads every file now, so that a slip in one shows at start.
      def read
        Dir.children(File.join(FOLDER, ENGLISH.to_s)).each { |file| BACKEND.read(File.basename(file, ".yml")) }
      end

      private

      def shown(gap) = gap.is_a?(Integer) ? gap.to_s.reverse.scan(/\d{1,3}/).join(THIN_SPACE).reverse : gap.to_s
    end
  end
end

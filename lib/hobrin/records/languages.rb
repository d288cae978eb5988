# frozen_string_literal: true

require "iso-639"

module Hobrin
  module Records
    # Languages by their ISO 639-2 code; where the standard has two, the terminologic one ("fra",
    # not "fre").
    module Languages
      ENTRIES = ISO_639::ISO_639_2.reject { |entry| entry.alpha3.include?("-") }
      CODE = ->(entry) { [entry.alpha3_terminologic, entry.alpha3].find { |code| !code.to_s.empty? }.dup.freeze }
      NAMES = ENTRIES.to_h { |entry| [CODE.call(entry), entry.english_name.dup.freeze] }.freeze
      CODES = NAMES.keys.freeze
      OTHER_CODES = ENTRIES.flat_map do |entry|
        code = [entry.alpha3_terminologic, entry.alpha3].find { |one| !one.to_s.empty? }
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
  end
end

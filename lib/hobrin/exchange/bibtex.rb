# frozen_string_literal: true

module Hobrin
  module Exchange
    # BibTeX, the format of bibliographies in TeX.
    module Bibtex
      NAME = "BibTeX"
      EXTENSION = "bib"
      TYPE = "application/x-bibtex"

      # The @string definitions of a file, each put together once when it is met. An entry gets only
      # those that it names; one that grows without end is left out.
      class Abbreviations
        MOST = 2_000
        LONGEST = 2_000
        NAME = /[A-Za-z][\w:.+-]*/
        private_constant :MOST, :LONGEST, :NAME

        def initialize
          @values = {}
        end

        # text :: one @string
        def add(text)
          return if @values.size >= MOST || text.size > LONGEST

          known = BibTeX.parse("#{needed(text)}\n#{text}", allow_missing_keys: true).strings
          name, string = known.to_a.last
          value = string.value.replace(known.values).join.to_s
          @values[name.to_s.downcase] = value if value.size <= LONGEST && value.count("{") == value.count("}")
        rescue BibTeX::ParseError, NoMethodError
          nil
        end

        # The definitions of those that a text names, as BibTeX.
        def needed(text)
          names = text.scan(NAME).map(&:downcase).uniq & @values.keys
          names.map { |name| "@string{#{name} = {#{@values[name]}}}" }.join("\n")
        end
      end
    end
  end
end

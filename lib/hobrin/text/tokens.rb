# frozen_string_literal: true

module Hobrin
  module Text
    # One meaning of "a word": a run of letters and digits. A hyphen is a space.
    module Tokens
      PATTERN = /[\p{L}\p{N}\p{Mn}]+/
      ASCII_PATTERN = /[a-z0-9]+/
      MASKED_PATTERN = /[\p{L}\p{N}\p{Mn}*?]+/
      private_constant :PATTERN, :ASCII_PATTERN, :MASKED_PATTERN

      class << self
        # A String in; its folded words out, in order.
        #
        #   Tokens.of("Ear-plugs, at night") # => ["ear", "plugs", "at", "night"]
        def of(text)
          return text.downcase.scan(ASCII_PATTERN) if text.ascii_only?

          located(text).map(&:first)
        end

        # The words of `of` with one space between: the form in which names are compared.
        #
        #   Tokens.line("Ear-plugs, at night") # => "ear plugs at night"
        def line(text)
          return of(text).join(" ") unless text.ascii_only?

          text.downcase.tr("^a-z0-9", " ").squeeze(" ").strip
        end

        # As `of`, each word with where it stands: [folded word, first character, one past the
        # last].
        def located(text)
          found = []
          text.scan(PATTERN) do
            match = Regexp.last_match
            found << [Folding.fold(match[0]), match.begin(0), match.end(0)]
          end
          found
        end

        # As `of`, keeping the masks * and ? of a search.
        #
        #   Tokens.masked("Ear-plug**") # => ["ear", "plug*"]
        def masked(text) = text.scan(MASKED_PATTERN).map { |word| Folding.fold(word).squeeze("*") }
      end
    end
  end
end

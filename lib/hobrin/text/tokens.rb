# frozen_string_literal: true

module Hobrin
  module Text
    # One meaning of "a word": a run of letters, digits and the marks that belong to them. A hyphen
    # is a space; a fraction is a word of its own ("1½" is "1 1 2"); a soft hyphen and the joiners
    # that nobody sees are not there. The library keeps its texts as these words, so that what a
    # search asks for and what a paper has are cut and folded alike.
    module Tokens
      FRACTION = "\u00BC-\u00BE\u2150-\u215F\u2189"
      UNSEEN = "\u00AD\u034F\u200C\u200D\u2060\uFEFF"
      LETTERS = '\p{L}\p{N}\p{M}'
      PATTERN = /[#{FRACTION}]|[[#{LETTERS}#{UNSEEN}]&&[^#{FRACTION}]]+/
      MASKED_PATTERN = /[#{FRACTION}]|[[#{LETTERS}#{UNSEEN}*?]&&[^#{FRACTION}]]+/
      # Folding may part a letter once more: a numeral with a full stop in it, a ligature of words.
      FOLDED = /[#{LETTERS}]+/
      FOLDED_MASKED = /[#{LETTERS}*?]+/
      UNSEEN_PATTERN = /[#{UNSEEN}]/
      ASCII_PATTERN = /[a-z0-9]+/
      # Capitals become small, and all that is neither letter nor digit a space; by ranges, which is
      # six times as quick as by all that they leave.
      NO_WORD, WORD = "A-Z\u0000-/:-@\\[-`{-\u007F", "a-z "
      private_constant :FRACTION, :UNSEEN, :LETTERS, :PATTERN, :MASKED_PATTERN, :FOLDED,
                       :FOLDED_MASKED, :UNSEEN_PATTERN, :ASCII_PATTERN, :NO_WORD, :WORD

      class << self
        # A String in; its folded words out, in order.
        #
        #   Tokens.of("Ear-plugs, at night") # => ["ear", "plugs", "at", "night"]
        def of(text)
          return text.downcase.scan(ASCII_PATTERN) if text.ascii_only?

          text.scan(PATTERN).flat_map { |run| folded(run, FOLDED) }
        end

        # The words of `of` with one space between: the form in which names are compared, and in
        # which texts are kept to be searched.
        #
        #   Tokens.line("Ear-plugs, at night") # => "ear plugs at night"
        def line(text)
          return of(text).join(" ") unless text.ascii_only?

          text.tr(NO_WORD, WORD).squeeze(" ").strip
        end

        # As `of`, each word with where it stands: [folded word, first character, one past the
        # last]. Words that share a letter ("½") share its place.
        def located(text)
          found = []
          text.scan(PATTERN) do
            match = Regexp.last_match
            folded(match[0], FOLDED).each { |word| found << [word, match.begin(0), match.end(0)] }
          end
          found
        end

        # As `of`, keeping the masks * and ? of a search.
        #
        #   Tokens.masked("Ear-plug**") # => ["ear", "plug*"]
        def masked(text)
          text.scan(MASKED_PATTERN).flat_map do |run|
            folded(run, FOLDED_MASKED).map { |word| word.squeeze("*") }
          end
        end

        private

        def folded(run, pattern)
          return [run.downcase] if run.ascii_only?

          Folding.fold(run.gsub(UNSEEN_PATTERN, "")).scan(pattern)
        end
      end
    end
  end
end

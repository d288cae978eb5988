# frozen_string_literal: true

module Hobrin
  module Strategy
    # What was typed as one term, with its operators read: OR and NOT join terms, "within 3 words of"
    # sets two near each other. What looks like the notation of some other search is not guessed at.
    #
    #   Entry.read("gum OR sweets NOT nicotine") # => added "gum", "sweets"; without "nicotine"
    #
    # added, without :: Arrays of texts, or Proximity, to be searched and to be taken away
    # unread :: what of it is not read: AND, a sign or a word; nil where all is
    # choices :: Array of texts that can be read, each another way to mean it; empty where all is read
    class Entry < Value
      attributes :added, :without, :unread, :choices

      NEAR = /\A(.+?)\s+within\s+(\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten)\s+words?\s+of\s+(.+)\z/i
      NUMBERS = %w[zero one two three four five six seven eight nine ten].freeze
      NOT = /\s+NOT\s+/
      AND = /\s+AND\s+/
      OR = /\s+(?:or|\|)\s+/i
      OPERATORS = /#{NOT}|#{AND}|#{OR}/
      # Signs, field names and codes that no word has; a slash between numbers or in "and/or" is one.
      SIGNS = %r{[\[\]{}()~^\\=<>@#$]|\p{L}{2,}:(?=\S)|(?<![\d/])(?<!\band)(?<!\bor)/|/(?![\d/])(?!or\b|and\b)|\.\p{L}{2}(?:,\p{L}{2})*\.?\z}i
      # A letter or a few with a number, between words: "W3".
      CODE = %r{(?<=\s)(?:\p{L}{1,5}/?\d{1,2}|NEAR)(?=\s)}
      GROUP = /\A\(([^()]*)\)\z/
      QUOTED = /"[^"]*"|“[^”]*”/
      USUAL_DISTANCE = 3
      private_constant :NEAR, :NUMBERS, :NOT, :AND, :OR, :OPERATORS, :SIGNS, :CODE, :GROUP, :QUOTED, :USUAL_DISTANCE

      class << self
        # text :: as typed; known :: whether a word occurs anywhere, a callable; then it is a word and
        #   no code ("vitamin B12 tablets")
        # whole :: whether a text is a name as it is, a callable: "use or misuse"
        # Gives an Entry. Raises InputError (:distance) for one out of range.
        def read(text, known: ->(_) { false }, whole: ->(_) { false })
          text = text.to_s.gsub(/[[:space:]]+/, " ").strip
          return plain([text]) if text.empty? || whole.call(text)

          kept, *taken = outside_quotes(" #{text}", NOT, empty: true).map { |part| part.sub(GROUP, "\\1") }
          found = [kept, *taken].filter_map { |part| unread(part, known) }.first
          return new(added: [], without: [], unread: found, choices: choices(text, found)) if found

          plain(outside_quotes(kept, OR), taken.flat_map { |part| outside_quotes(part, OR) })
        end

        private

        def plain(added, without = [])
          added, without = [added, without].map { |texts| texts.map { |part| near(part) || part } }
          new(added:, without:, unread: nil, choices: [])
        end

        def near(text)
          match = text.match(NEAR) or return
          words = match[2].downcase
          Proximity.new(left: tidy(match[1]), right: tidy(match[3]), distance: NUMBERS.index(words) || Integer(words, 10))
        end

        # The words of one side as TextTerm has them.
        def tidy(text) = TextTerm.read(text).text

        def unread(text, known)
          bare = text.gsub(QUOTED) { |quoted| "q" * quoted.size }
          return "AND" if bare.match?(AND)

          code = bare[CODE]
          return code if code && !known.call(code)

          bare[SIGNS]&.strip
        end

        # Splits at an operator, but not within quotation marks.
        def outside_quotes(text, operator, empty: false)
          bare = text.gsub(QUOTED) { |quoted| "q" * quoted.size }
          places = []
          bare.scan(operator) { places << Regexp.last_match.offset(0) }
          starts, ends = [[0, *places.map(&:last)], [*places.map(&:first), text.size]]
          starts.zip(ends).map { |from, upto| text[from...upto].strip }.reject { |part| part.empty? && !empty }
        end

        def choices(text, found)
          sides = text.split(/\s+#{Regexp.escape(found)}\s+/, 2).map { |side| words(side) }
          words = words(text.sub(/(?<=\s)#{Regexp.escape(found)}(?=\s)/, " "))
          two = sides.size == 2 && sides.none?(&:empty?)
          joined = if two
                     [Book.t("strategy.wording.near", left: sides.first, count: distance(found), right: sides.last),
                      sides.join(" OR ")]
                   else
                     []
                   end
          [*joined, *("\"#{words}\"" unless words.empty?)]
        end

        def distance(found) = found[/\d+/]&.to_i&.clamp(Proximity::DISTANCES) || USUAL_DISTANCE

        # Without operators, signs and the codes that go with them.
        def words(text)
          text.gsub(/\[[^\]]*\]|~\d+|\{[^}]*\}|\.\p{L}{2}(?:,\p{L}{2})*\.?\z/i, " ").gsub(/\p{L}{2,}:(?=\S)/, "")
              .gsub(OPERATORS, " ").gsub(/[^\p{L}\p{N}*?'’ -]/, " ").gsub(/\s+/, " ").strip
        end
      end

      def read? = unread.nil?

      # Whether it is one text as it was typed.
      def plain? = read? && without.empty? && added.size == 1 && added.first.is_a?(String)

      # What is said of it where something was not read.
      def why = Book.t("strategy.errors.unread", words: unread)
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # Names laid end to end in one text, shortest first, so that a look-up is one fast scan in C and
    # the best come out first. Each name stands as "\n word word"; positions are bytes.
    class NameList
      # entries :: Array of [anything, name]
      def initialize(entries)
        # One String to sort by, since comparing Arrays is slow: the size, then the name.
        @entries = entries.sort_by { |_, name| [name.size].pack("N") << name.b }.freeze
        texts = @entries.map { |_, name| "\n #{Text::Tokens.line(name)}".b }
        at = 0
        @starts = texts.map { |text| (at += text.bytesize) - text.bytesize }.freeze
        @text = texts.join.freeze
        freeze
      end

      # Entries whose name has `typed` (folded, one space between words) at the beginning of a word.
      # Gives [those that begin with it, those that have it later], at most `limit` of each.
      def at_words(typed, limit)
        first, within = [], []
        scan(" #{typed}") do |entry, at_start|
          list = at_start ? first : within
          list << entry if list.size < limit && list.last != entry
          break if first.size >= limit
        end
        [first, within]
      end

      def beginning(typed, limit) = collect("\n #{typed}", limit)
      def containing(typed, limit) = collect(typed, limit)

      # Entries that have every one of the words, each perhaps unfinished.
      def with_words(words, limit)
        longest, *others = words.sort_by { |word| -word.size }
        found = []
        scan(" #{longest}") do |entry, _, text|
          found << entry if found.last != entry && others.all? { |word| text.include?(" #{word}".b) }
          break if found.size >= limit
        end
        found
      end

      private

      def collect(needle, limit)
        found = []
        scan(needle) do |entry, _|
          found << entry if found.last != entry
          break if found.size >= limit
        end
        found
      end

      # Gives each place in turn: the entry, whether it is the entry's beginning, and the entry's
      # text.
      def scan(needle)
        needle = needle.b
        from = 0
        while (at = @text.index(needle, from))
          place = @starts.bsearch_index { |start| start > at } || @starts.size
          start = @starts[place - 1]
          yield @entries[place - 1], at <= start + 1, @text[start...(@starts[place] || @text.size)]
          from = at + needle.size
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # Finds headings for what is being typed: the last word may be unfinished. In one of three ways:
    #
    # ranked   :: by where it was found: label from its start, also-called name from its start, at a
    #   word within the label, within an also-called name, words of the definition; shorter names first
    # contains :: only labels that hold what was typed, anywhere; begins :: only labels that begin
    #   with it
    class LookUp
      # heading :: the heading; name :: the name that matched, which may be an also-called one
      class Match < Value
        attributes :heading, :name, :rank

        def also_called? = name != heading.label
      end

      WAYS = %i[ranked contains begins].freeze
      DEFINITION_RANK = 4
      private_constant :DEFINITION_RANK

      def initialize(headings)
        @labels = NameList.new(headings.map { |heading| [heading, heading.label] })
        @others = NameList.new(headings.flat_map do |heading|
          heading.also_called.map { |name| [heading, name] }
        end)
        @definitions = NameList.new(headings.map { |heading| [heading, heading.definition] })
      end

      # typed :: String; limit :: how many at most; way :: one of WAYS.
      # Gives an Array of Match, one for each heading.
      def call(typed, limit:, way: :ranked)
        words = Text::Tokens.of(typed)
        return [] if words.empty?

        case way
        when :ranked then ranked(words, limit)
        when :begins then matches(@labels.beginning(words.join(" "), limit), 0)
        when :contains then matches(@labels.containing(words.join(" "), limit), 0)
        end
      end

      private

      def ranked(words, limit)
        typed = words.join(" ")
        label_first, label_within = @labels.at_words(typed, limit)
        other_first, other_within = @others.at_words(typed, limit)
        hits = [label_first, other_first, label_within, other_within]
        found = hits.each_with_index.flat_map { |some, rank| matches(some, rank) }.uniq(&:heading)
        return found.first(limit) if found.size >= limit

        (found + by_definition(words, limit)).uniq(&:heading).first(limit)
      end

      def by_definition(words, limit)
        @definitions.with_words(words, limit).map do |heading, _|
          Match.new(heading:, name: heading.label, rank: DEFINITION_RANK)
        end
      end

      def matches(hits, rank) = hits.map { |heading, name| Match.new(heading:, name:, rank:) }

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
end

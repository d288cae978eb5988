# frozen_string_literal: true

module Hobrin
  module CloseReading
    # A text cut into sentences, each in the section that the text itself names.
    class Passage
      # text :: the sentence; from, to :: where it stands, in characters, `to` one past the last;
      # section :: :background, :methods, :results, :conclusion, or nil when the text names none
      class Sentence < Value
        attributes :text, :from, :to, :section

        def numbers? = text.match?(/\d/)

        # Every match of a pattern in it, as MatchData.
        def matches(pattern)
          found = []
          text.scan(pattern) { found << Regexp.last_match }
          found
        end
      end

      # The names that sections go by.
      SECTIONS = {
        background: "background|introduction|context|aims?|objectives?|purpose",
        methods: "methods?|design|setting|participants|patients|interventions?|measurements?|" \
                 "data sources|materials and methods|patients and methods|main outcome measures?",
        results: "results?|findings|main results",
        conclusion: "conclusions?|interpretation|discussion|implications(?: for practice)?"
      }.freeze
      NAMED = SECTIONS.transform_values { |names| /\A(?:#{names})\z/i }.freeze
      HEAD = /(?<=\A|[.!?]\s|\n)(#{SECTIONS.values.join("|")})\s*(?::|\n)\s*/i
      # Where a sentence ends: not behind a short form or an initial, and not within a number.
      STOP = /(?<!\bvs|\bcf|\bal|e\.g|i\.e|\bca|\bno|\bapprox|\bfig|\b[A-Z])[.!?]["')\]]*(?=\s+["'(\[]?[\p{Lu}\p{N}])/
      private_constant :SECTIONS, :NAMED, :HEAD, :STOP

      attr_reader :text

      # text :: String, nil as an empty one
      def initialize(text)
        @text = text.to_s
      end

      # Array of Sentence, in order.
      def sentences
        @sentences ||= sections.flat_map { |name, from, to| cut(name, from, to) }
      end

      # The sentences of a section; all of them when the text names no sections.
      def of(section)
        named? ? sentences.select { |sentence| sentence.section == section } : sentences
      end

      # Whether the text names its sections.
      def named? = sentences.any?(&:section)

      private

      # [name or nil, from, to] of each stretch between two headings.
      def sections
        heads = heads_of_sections
        first = [nil, 0, heads.first ? heads.first[1] : text.size]
        rest = heads.each_with_index.map do |(name, _, from), place|
          [name, from, heads[place + 1] ? heads[place + 1][1] : text.size]
        end
        [first, *rest]
      end

      # [name, where its heading begins, where its text begins]
      def heads_of_sections
        found = []
        text.scan(HEAD) do
          match = Regexp.last_match
          found << [NAMED.find { |_, names| match[1].match?(names) }.first, match.begin(0), match.end(0)]
        end
        found
      end

      def cut(section, from, to)
        part = text[from...to]
        ends = []
        part.scan(STOP) { ends << Regexp.last_match.end(0) }
        [0, *ends].zip([*ends, part.size]).filter_map do |first, last|
          whole = part[first...last]
          next if whole.strip.empty?

          start = from + first + whole.index(/\S/)
          Sentence.new(text: whole.strip, from: start, to: start + whole.strip.size, section:)
        end
      end
    end
  end
end

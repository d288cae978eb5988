# frozen_string_literal: true

module Hobrin
  module CloseReading
    # What a sentence calls the two groups whose numbers stand at two places in it: "31 of 162 in
    # the earplug group and 48 of 160 with usual care".
    class GroupLabels
      # labels :: [String, String], "" where none is found; order :: :kept where the first group is
      #   the one with the intervention, :turned where it is the second, nil where that is not known
      class Found < Value
        attributes :labels, :order
      end

      LABEL = /(?<label>(?:[\p{L}\d][\p{L}\d'’.-]*\s?){1,7}?)/
      ENDS = /(?=\s*(?:[,;:()–]|\.(?:\s|\z)|\bn\s?=|\b(?:and|was|were|had|has|have|developed|became|of|than|at|by|during|after|for|in|on)\b|\d|\z))/
      IN_GROUP = /\b(?:the )?(?<label>(?:[\p{L}-]+ ){0,4}?[\p{L}-]+) (?:groups?|arms?|wards?|units?)\b/i
      GROUP_OF = /\bgroup (?<label>[A-Z\d])\b/
      GIVEN = /\b(?<not>not\s|never\s|n[’']t\s)?(?:with|without|given|receiving|received|using|used|wearing|wore|having had|have|get|receive|wear|use|who had|on|under|
        (?:assigned|allocated|randomi[sz]ed) to|to)\s(?:the\s)?#{LABEL}#{ENDS}/ix
      NAMES = /(?<label>\b(?:without|no|with)?\s?(?:[\p{L}-]+\s){0,2}[\p{L}-]+)\W*(?:gave a mean of|had|users?)?\W*\z/i
      LEADING = /\A(?:(?:in|of|among|by|on|the|those|and)\s)+/i
      NO_NAME = /\A[^\p{L}]*\z|\A(?:it|them|this|that|those|these|both|each|either|all|hospital)?\z/i
      BARE = /\b(?<label>with|without)\b/i
      WORDS = /\b(?<label>(?:[\p{L}-]+\s){0,2}[\p{L}-]+)/
      # Where the numbers of one group end and those of the other begin.
      BESIDE = /,?\s*\b(?:and|versus|vs?\.?|compared (?:with|to)|against|whereas|while|but|than)(?![\p{L}-])|;|,/i
      BOTH = [/\b(?:in|with|for|given|on)\s(?:the\s)?(?<one>(?:[\p{L}-]+\s){0,3}?[\p{L}-]+)\sand\s(?:the\s)?(?<two>(?:[\p{L}-]+\s?){1,4}?)(?:\s?(?:groups|arms|wards|units))?,?\srespectively/i,
              /\b(?:in|with|for|given|on)\s(?:the\s)?(?<one>(?:[\p{L}-]+\s){0,3}?[\p{L}-]+)\sand\s(?:the\s)?(?<two>(?:[\p{L}-]+\s?){1,4}?)\s?(?:groups|arms|wards|units)\b/i].freeze
      private_constant :LABEL, :ENDS, :IN_GROUP, :GROUP_OF, :GIVEN, :NAMES, :LEADING, :NO_NAME, :BARE, :WORDS, :BESIDE, :BOTH

      # text :: the sentence; one, two :: [from, to] of the numbers of each group in it; arms ::
      #   CloseReading::Arms
      def initialize(text, one, two, arms)
        @text = text
        @one, @two = one, two
        @arms = arms
      end

      # Gives a Found.
      def call
        labels = both || [first, second]
        sides = labels.map { |label| label.empty? ? nil : @arms.side(label) }
        Found.new(labels: labels.map { |label| label.match?(/\Awith(?:out)?\z/i) ? "" : label }, order: order(*sides))
      end

      private

      # One known side settles it, two that agree do; two of the same do not.
      def order(one, two)
        return :kept if (one == :with && two != :with) || (two == :without && one != :without)

        :turned if (one == :without && two != :without) || (two == :with && one != :with)
      end

      # "… of patients with earplugs and usual care, respectively".
      def both
        match = BOTH.filter_map { |pattern| @text.match(pattern) }.first or return
        match.values_at(:one, :two).map(&:strip)
      end

      def first
        label(@text[@one.first...@one.last], :within) || label(left, :after) || label(@text[0...@one.first], :before) || ""
      end

      def second
        within = label(@text[@two.first...@two.last], :within)
        return within if within

        behind = @text[@two.last..]
        sides = left_named? ? [[behind, :after], [right, :before]] : [[right, :before], [behind, :after]]
        sides.filter_map { |text, way| label(text, way) }.first || ""
      end

      def left_named? = !label(left, :after).nil?

      # What stands between the two, up to the word that parts them, and from there on.
      def left = between[0]
      def right = between[1]

      def between
        @between ||= begin
          text = @text[@one.last...@two.first]
          cut = parting(text)
          cut ? [text[0...cut.begin(0)], text[cut.end(0)..]] : [text, text]
        end
      end

      # The last word that parts them, but for one within a name.
      def parting(text)
        found = []
        text.scan(BESIDE) { found << Regexp.last_match }
        found.find { |match| match[0].match?(/versus|vs?\b|compared|against|whereas|while|but|than|;/i) } ||
          found.reverse.find { |match| match[0].match?(/and/i) } || found.last
      end

      # The name that tells a side best: one of a known side, else the last.
      def label(text, way)
        names = candidates(text, way).map { |name| name.sub(LEADING, "").sub(/[.,;:\s]+\z/, "") }.grep_v(NO_NAME)
        names.find { |name| %i[with without].include?(@arms.side(name)) } || names.last
      end

      def candidates(text, way)
        found = [IN_GROUP, GROUP_OF, GIVEN].flat_map { |pattern| all(text, pattern) }
        return found if way == :within

        found += all(text, BARE) if found.empty?
        found += known(text, NAMES) if found.empty? && way == :before
        found += known(text, WORDS) if found.empty?
        found
      end

      # Words that are a name only if they are one of the two arms'.
      def known(text, pattern)
        all(text, pattern).select { |name| %i[with without].include?(@arms.side(name)) }
      end

      def all(text, pattern)
        found = []
        text.scan(pattern) { found << Regexp.last_match }
        found.map { |match| negated(match).strip }
      end

      # "without earplugs" keeps its "without", "not given earplugs" its "not".
      def negated(match)
        return "no #{match[:label]}" if match.names.include?("not") && match[:not]

        match[0].match?(/\Awithout\s/i) && match[:label] !~ /\Awithout/i ? "without #{match[:label]}" : match[:label]
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Question
    # Phrases of a question that a person might mark: found by cue words of English questions of the
    # usual shapes, and by names that the thesaurus knows. Nothing is marked by it; a person takes a
    # proposal or leaves it.
    #
    #   Proposals.new(thesaurus).call("Do earplugs prevent delirium?").map { |one| [one.key,
    #   one.phrase.text] } # => [["I", "earplugs"], ["O", "delirium"]]
    class Proposals
      # key :: of the element; phrase :: a marked Phrase; cue :: the words of the sentence that led
      #   to it, or nil
      # headings :: the labels of the names in it that the thesaurus knows
      class Proposal < Value
        attributes :key, :phrase, :cue, :headings
      end

      # Past this many characters a proposal would be most of a sentence: no name for anything.
      LONGEST = 90
      # What is cut out of the sentence once it is taken: a break to every rule.
      CUT = ","
      private_constant :LONGEST, :CUT

      # thesaurus :: Thesaurus
      def initialize(thesaurus)
        @thesaurus = thesaurus
      end

      # text :: the sentence. Gives an Array of Proposal that do not overlap, in the order of the
      #   sentence.
      def call(text)
        left = text.downcase.tr("’", "'")
        return [] unless left.size == text.size

        left.gsub!(Rules::LIMITS) { |words| CUT * words.size }
        found = Rules::ALL.each_with_object([]) do |rule, all|
          all.concat(by_rule(rule, left, text)) unless rule.late?(all.map(&:key))
        end
        found += known(left, text, found)
        found.sort_by { |one| one.phrase.from }
      end

      # The proposals that a question has not answered yet: they were not left, nothing marked
      # overlaps them, and their element holds nothing that was marked or typed.
      #
      # question :: Question
      def open(question)
        marked = question.marks.map(&:last)
        call(question.text).select do |one|
          element = question.element(one.key)
          next if question.declined.include?([one.key, one.phrase.text])

          element&.blank? && marked.none? { |phrase| phrase.overlaps?(one.phrase) }
        end
      end

      private

      # left :: the sentence in small letters with what was taken cut out; changed in place
      def by_rule(rule, left, text)
        match = rule.match(left) or return []
        found = Rules::KEYS.flat_map { |key| by_group(match, key, text) }
        rule.spans(match).each do |from, to|
          left[from...to] = CUT * (to - from)
        end unless found.empty?
        found
      end

      def by_group(match, key, text)
        return [] unless match.names.include?(key) && match[key]

        cue = ["cue#{key}", "cue"].find { |name| match.names.include?(name) }
        trimming = Trimming.new(@thesaurus)
        spans = trimming.call(text, match.begin(key), match.end(key), split: key == "O")
        spans.select { |from, to| to - from <= LONGEST }.map do |from, to|
          proposal(key, Phrase.new(text: text[from...to], from:), cue && match[cue])
        end
      end

      # Names of the thesaurus in what no rule took: people for P, the first other one for I, the
      # rest for O.
      def known(left, text, found)
        taken = found.map(&:key)
        names = Thesaurus::Reading.new(@thesaurus).located(left).map { |from, to| Phrase.new(text: text[from...to], from:) }
        people, others = names.partition { |name| Rules.people?(name.text) }
        wanted = { "P" => people, "I" => others.first(1),
                   "O" => others.drop(taken.include?("I") ? 0 : 1) }
        wanted.flat_map do |key, phrases|
          taken.include?(key) ? [] : phrases.map { |phrase| proposal(key, phrase) }
        end
      end

      def proposal(key, phrase, cue = nil)
        headings = Thesaurus::Reading.new(@thesaurus).call(phrase.text).filter_map(&:label)
        Proposal.new(key:, phrase:, cue:, headings:)
      end
    end
  end
end

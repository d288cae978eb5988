# frozen_string_literal: true

module Hobrin
  module Narrowing
    # Limits that the sentence states itself: ages, sex, language, dates and study types. What a
    # limit can say, a word need not.
    class MentionedLimits
      # words :: as the sentence says it; leaf :: Strategy::Limit or Strategy::Dates
      class MentionedLimit < Value
        attributes :words, :leaf
      end

      # The longer wording first: "older adults" is no "adults".
      AGES = {
        /\b(?:older|elderly|old) (?:adults|people|patients|persons|inpatients|women|men)\b|\bolder inpatients\b|\baged (?:65|sixty-five)\b|\bover 65\b/ => ["aged", "80 and over"],
        /\bpreterm (?:babies|infants)\b|\bnewborns?(?: babies| infants)?\b|\bneonates\b/ => ["newborn"],
        /\byoung adults\b/ => ["young adult"], /\b(?:adolescents?|teenagers?)\b/ => ["adolescent"],
        /\b(?:infants|babies|toddlers)\b/ => ["infant"], /\b(?:children|child)\b/ => %w[preschool child],
        /\badults?\b/ => Records::AgeGroups::ADULTS
      }.freeze
      SEXES = { /\b(?:women|girls|mothers|female)\b/ => "female", /\b(?:men|boys|male)\b/ => "male" }.freeze
      TYPES = { /\bsystematic reviews?\b/ => "systematic review", /\bmeta-analys[ei]s\b/ => "meta-analysis",
                /\brandomi[sz]ed(?: controlled)? trials?\b/ => "randomized controlled trial", /\bguidelines?\b/ => "guideline",
                /\bcohort studies\b/ => "cohort study", /\bqualitative studies\b/ => "qualitative study" }.freeze
      LANGUAGE = /\b(?:written|published|papers|studies|available) in ([a-z]+)\b/
      NUMBERS = { "two" => 2, "three" => 3, "five" => 5, "ten" => 10, "twenty" => 20 }.freeze
      YEARS = /\b(?:between|from) ((?:19|20)\d\d) (?:and|to) ((?:19|20)\d\d)\b/
      SINCE = /\bsince ((?:19|20)\d\d)\b/
      LAST = /\b(?:the )?(?:last|past) (\d{1,2}|#{NUMBERS.keys.join("|")}) years\b/
      private_constant :AGES, :SEXES, :TYPES, :LANGUAGE, :NUMBERS, :YEARS, :SINCE, :LAST

      # today :: Date
      def initialize(today)
        @today = today
      end

      # text :: the sentence. Gives an Array of MentionedLimit, one for each limit at most.
      def call(text)
        text = text.downcase
        [age(text), listed(text, SEXES, :sex), listed(text, TYPES, :type), language(text),
         dates(text)].compact
      end

      # Those that wait: their limit is not put on yet. question :: Question; limits :: Array of
      # AppliedLimit
      def waiting(question, limits)
        call(question.text).reject { |mention| limits.any? { |limit| limit.name == mention.leaf.name } }
      end

      private

      # Every group that is named, each word read once.
      def age(text)
        left = text.dup
        found = AGES.filter_map do |pattern, groups|
          left.slice!(pattern)&.then { |words| [words, groups] }
        end
        limit(:age, found.map(&:first), found.flat_map(&:last)) unless found.empty?
      end

      def listed(text, table, name)
        found = table.filter_map { |pattern, value| text[pattern]&.then { |words| [words, value] } }
        limit(name, found.map(&:first), found.map(&:last)) unless found.empty?
      end

      def language(text)
        name = text[LANGUAGE, 1]
        code = name && Records::Languages.code(name)
        limit(:language, ["in #{name}"], [code]) if code
      end

      def limit(name, words, values)
        leaf = Strategy::Limit.new(name:, values: values.uniq)
        MentionedLimit.new(words: words.join(", "), leaf:)
      end

      def dates(text)
        words = [YEARS, SINCE, LAST].filter_map { |pattern| text[pattern] }.first or return
        from, to = years(words)
        return if from > to

        MentionedLimit.new(words:, leaf: Strategy::Dates.years(from_year: from, to_year: to))
      end

      def years(words)
        named = words.scan(/(?:19|20)\d\d/).map(&:to_i)
        return [named.first, named[1] || @today.year] if named.any?

        number = words[LAST, 1]
        [@today.year - (NUMBERS[number] || number.to_i), @today.year]
      end
    end
  end
end

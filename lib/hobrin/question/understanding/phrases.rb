# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # The phrases of a question, from the best way to label its words. What is less probable than
      # LEAST is not proposed.
      class Phrases
        # key :: of the element; from :: its first character; text; sure :: 0 to 1; other :: key of
        #   the next probable element, when that is not far behind; reasons :: see Reasons
        class Found < Value
          attributes :key, :from, :text, :sure, :other, :reasons
        end

        LEAST = 0.5
        # Another element as probable as this is offered too.
        OTHER = 0.2
        # Past this many characters a phrase would be most of a sentence: no name for anything.
        LONGEST = 90
        # Years and languages are left to limits, and so are no part of a phrase.
        LIMITS = /\b(?:since|between|from)\s(?:19|20)\d\d(?:\s(?:and|to)\s(?:19|20)\d\d)?\b|
                  \b(?:in\s)?(?:the\s)?(?:last|past)\s[\w-]+\syears\b|
                  \b(?:written|published)\sin\s[a-z]+\b/ix
        # What belongs to no phrase where it begins or ends one; "use" where an article follows.
        FIRST = %w[a an the this that these those my our your his her their some any].freeze
        USE = %w[use using used].freeze
        LAST = %w[work works working help helps and or in on at of for to with by a an the is are].freeze
        LETTERS = /[[:alpha:]]{2}|\d/
        OUTSIDE = -60.0
        private_constant :LEAST, :OTHER, :LONGEST, :LIMITS, :FIRST, :USE, :LAST, :LETTERS, :OUTSIDE

        def initialize(sentence, kind, learned)
          @sentence = sentence
          @learned = learned
          @features = TokenFeatures.new(sentence, kind).call
        end

        # Gives an Array of Found, in the order of the sentence.
        def call
          spans(lattice.best).filter_map { |label, first, last| found(label, *trimmed(first, last)) }
        end

        # The Lattice of the sentence.
        def lattice
          @lattice ||= Lattice.new(words: scores, beginnings: @features.map { |names| @learned.of_beginnings(names) },
                                   transitions: @learned.transitions)
        end

        private

        def scores
          left = left_to_limits
          @features.each_with_index.map do |names, place|
            sums = @learned.of_words(names)
            next sums unless left[place]

            sums.each_with_index.map { |sum, label| label.zero? ? sum : sum + OUTSIDE }
          end
        end

        # For each token whether it is part of what limits say.
        def left_to_limits
          cut = []
          @sentence.text.scan(LIMITS) { cut << Regexp.last_match.offset(0) }
          @sentence.tokens.map { |token| cut.any? { |from, to| token.from >= from && token.to <= to } }
        end

        # [label of the first word, place of the first token, of the last] for each phrase.
        def spans(labels)
          labels.each_index.select { |place| States.begins?(labels[place]) }.map do |first|
            last = first
            last += 1 while labels[last + 1] == labels[first] + 1
            [labels[first], first, last]
          end
        end

        def trimmed(first, last)
          word = ->(place) { @sentence.tokens[place].word }
          first += 1 while first < last && begins_nothing?(word[first], word[first + 1])
          last -= 1 while last > first && (LAST.include?(word[last]) || SearchNames.how_far?(word[last]))
          first += 1 while first < last && SearchNames.how_far?(word[first])
          [first, last]
        end

        def begins_nothing?(word, after) = FIRST.include?(word) || (USE.include?(word) && FIRST.include?(after))

        def found(label, first, last)
          tokens = @sentence.tokens[first..last]
          text = @sentence.text[tokens.first.from...tokens.last.to]
          element = States.element(label)
          shares = shares(first, last)
          return if shares[element] < LEAST || text.size > LONGEST || !text.match?(LETTERS) || tokens.all?(&:small?)

          Found.new(key: States::ELEMENTS[element], from: tokens.first.from, text:, sure: shares[element],
                    other: other(shares, element),
                    reasons: Reasons.new(@sentence, @learned).call(@features[first], label, first, last))
        end

        # How probable each element is over the words of a phrase.
        def shares(first, last)
          @probabilities ||= lattice.probabilities
          States::ELEMENTS.each_index.map do |element|
            sums = (first..last).sum do |place|
              @probabilities[place][States.label(element, first: true)] +
                @probabilities[place][States.label(element, first: false)]
            end
            sums / (last - first + 1)
          end
        end

        def other(shares, element)
          next_one = shares.each_index.reject { |other| other == element }.max_by { |other| shares[other] }
          States::ELEMENTS[next_one] if shares[next_one] >= OTHER
        end
      end
    end
  end
end

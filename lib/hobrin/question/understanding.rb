# frozen_string_literal: true

module Hobrin
  class Question
    # What Hobrin makes of a question: phrases that a person might mark, each with its element, how
    # sure that is and why, and the kind of question it sounds like. Learnt from questions that
    # people marked (docs/asking.md). Nothing is marked by it; a person takes a proposal or leaves
    # it.
    #
    #   understanding.proposals("does honey work on burns in kids").map { |one| [one.key, one.phrase.text] }
    #   # => [["I", "honey"], ["O", "burns"], ["P", "kids"]]
    class Understanding
      # kind :: a Kind; cue :: the words of the sentence that say so most, or nil; sure :: how
      #   probable it is, 0 to 1
      class Guess < Value
        attributes :kind, :cue, :sure
      end

      # Surer than this, a proposal needs no second look.
      SURE = 0.75
      # Below this a guess at the kind is said as a guess.
      LIKELY = 0.6

      # learned :: Learned; thesaurus :: Thesaurus
      def initialize(learned, thesaurus)
        @learned = learned
        @thesaurus = thesaurus
      end

      # text :: the question. Gives an Array of Proposal that do not overlap, in its order.
      def proposals(text)
        sentence = Sentence.new(text, @learned.classes, @thesaurus)
        return [] if sentence.tokens.empty?

        kind = probable_kinds(sentence).max_by(&:last).first
        phrases = Phrases.new(sentence, kind, @learned).call
        phrases = names(sentence) if phrases.empty?
        phrases.map { |phrase| proposal(phrase) }
      end

      # The proposals that a question has not answered yet: they were not left, nothing marked
      # overlaps them, and their element holds nothing that was marked or typed. An element that the
      # frame lacks is passed over. found :: what `proposals` gives for its text
      def open(question, found: proposals(question.text))
        marked = question.marks.map(&:last)
        found.select do |one|
          element = question.element(one.key)
          next if question.declined.include?([one.key, one.phrase.text])

          element&.blank? && marked.none? { |phrase| phrase.overlaps?(one.phrase) }
        end
      end

      # text :: the question. Gives a Guess; nil for a text without words.
      def kind(text)
        sentence = Sentence.new(text, @learned.classes)
        return if sentence.tokens.none? { |token| token.word.match?(/[[:alpha:]]/) }

        key, sure = probable_kinds(sentence).max_by(&:last)
        Guess.new(kind: Kind.fetch(key), cue: cue(sentence, key), sure:)
      end

      private

      # Each kind's key with how probable it is.
      def probable_kinds(sentence)
        scores = @learned.of_kinds(KindFeatures.new(sentence).call)
        weights = scores.map { |score| Math.exp(score - scores.max) }
        Kind::ALL.map(&:key).zip(weights.map { |weight| weight / weights.sum })
      end

      # Of the cues that the sentence has, the words of the one that speaks most for a kind.
      def cue(sentence, key)
        place = Kind::ALL.index { |kind| kind.key == key }
        found = KindFeatures.new(sentence).found.map do |name, words|
          weights = @learned.for_kinds("C=#{name}")
          [words, weights ? weights[place] - (weights.sum / weights.size) : 0.0]
        end
        words, weight = found.max_by(&:last)
        words&.strip if weight&.positive?
      end

      # Where nothing was learnt that would say anything, names that the thesaurus knows: the first
      # for what is done, the others for what should come about, people for who it is about.
      def names(sentence)
        found = Thesaurus::Reading.new(@thesaurus).located(sentence.text)
        found.each_with_index.map do |(from, to), place|
          people = sentence.tokens.any? do |token|
            token.from.between?(from, to - 1) && token.classes.include?("people")
          end
          key = if people then "P"
                else place.zero? ? "I" : "O"
                end
          Phrases::Found.new(key:, from:, text: sentence.text[from...to], sure: 0.0, other: nil,
                             reasons: [])
        end
      end

      def proposal(found)
        headings = Thesaurus::Reading.new(@thesaurus).call(found.text).filter_map(&:label)
        Proposal.new(key: found.key, phrase: Phrase.new(text: found.text, from: found.from), sure: found.sure,
                     other: found.other, reasons: found.reasons, headings:)
      end

      # A phrase that a person might mark.
      #
      # key :: of the element; phrase :: a marked Phrase; sure :: how probable it is, 0 to 1
      # other :: key of the element that it may be instead, or nil
      # reasons :: Array of Reasons::Reason; headings :: the labels of the names in it that the
      #   thesaurus knows
      class Proposal < Value
        attributes :key, :phrase, :sure, :other, :reasons, :headings

        def sure? = sure >= SURE
      end
    end
  end
end

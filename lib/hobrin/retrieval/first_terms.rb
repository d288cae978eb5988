# frozen_string_literal: true

module Hobrin
  module Retrieval
    # What an empty block is offered for its first names, from the phrases of the question: headings
    # that the thesaurus knows for a phrase or that are nearest to it by their words, then the words
    # of the phrase as a searcher would put them, whole before part. What finds nothing comes last,
    # to be shown as thought of.
    class FirstTerms
      MOST = 6
      MOST_NEAR = 2
      private_constant :MOST, :MOST_NEAR

      # block :: Strategy::Block; evaluator :: Evaluator; dictionary :: Text::Dictionary
      def initialize(block, evaluator, dictionary: Text::Dictionary::NONE)
        @thesaurus = evaluator.thesaurus
        @offers = TermOffers.new(block, evaluator)
        @slips = Question::Slips.new(@thesaurus, dictionary) { |word| @offers.of_words(word)&.finds? }
      end

      # phrases :: Array of String. Gives an Array of TermOffers::Offer, each once.
      def call(phrases)
        each = phrases.map { |phrase| of(phrase) }
        # The first name of each phrase before the second of any.
        longest = each.map(&:size).max || 0
        all = (0...longest).flat_map do |place|
          each.filter_map { |offers| offers[place] }
        end.uniq(&:leaf)
        finding, nothing = all.partition(&:finds?)
        [*finding.first(MOST), *nothing.first(MOST_NEAR)]
      end

      private

      def of(phrase)
        meant = [*Question::SearchNames::Abbreviations.written_out(phrase), *@slips.mended(phrase)]
        known = [phrase, *meant].map { |text| known(text) }.find(&:any?) || []
        names = [*meant, phrase]
        words = words(names.flat_map { |name| Question::SearchNames.call(name) })
        words += words(names.flat_map { |name| Question::SearchNames.heads(name) }) if words.none?(&:finds?)
        [*(known.empty? ? near(names) : known), *words]
      end

      # Headings that the phrase names; one of everybody only when it names nothing else.
      def known(phrase)
        parts = Thesaurus::Reading.new(@thesaurus).call(phrase).select(&:label)
        told = parts.reject { |part| Question::SearchNames.everybody?(part.text) }
        told = parts if Question::SearchNames.everybody?(phrase)
        told.map { |part| @offers.of_heading(part.label, named: part.text) }
      end

      def near(names)
        words = names.flat_map { |name| Question::SearchNames.carrying(name) }.uniq
        @thesaurus.near(words, limit: MOST_NEAR).map do |near|
          @offers.of_heading(near.heading.label, named: near.name)
        end
      end

      def words(texts) = texts.filter_map { |text| @offers.of_words_or_truncated(text) }
    end
  end
end

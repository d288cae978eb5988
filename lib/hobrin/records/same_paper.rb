# frozen_string_literal: true

module Hobrin
  module Records
    # Whether two records are of the same paper, by a score over what they say: titles, authors, years,
    # pages, volumes and journals. What only one of them says counts for nothing. The points are
    # common practice, no source; spec/fixtures/same_papers.yml holds what they were tried on.
    class SamePaper
      ENOUGH = 5.0
      # Of two titles, how many of their words they share.
      ALIKE = 0.9
      NEARLY = 0.7
      # Titles of fewer words, such as "Editorial", tell little.
      FEW = 3
      # Words behind which a paper is another one about the same.
      OTHER_KIND = /\b(?:erratum|correction|corrigendum|reply|response to|comment on|letter|protocol|editorial|retraction|
        abstract)\b/ix
      PART = /\b(?:part|chapter|phase|study|series)\s+(?<part>\d+|[ivx]+)\b/i
      private_constant :ENOUGH, :ALIKE, :NEARLY, :FEW, :OTHER_KIND, :PART

      # one, two :: Record
      def self.call(one, two) = new(one, two).same?

      def initialize(one, two)
        @one = one
        @two = two
      end

      def same? = score >= ENOUGH

      # Float; the more the likelier. Two different DOIs, kinds or parts leave no doubt.
      def score
        return -10.0 if other_doi? || other_kind? || other_part?

        title + authors + year + page + volume + journal
      end

      private

      def other_doi?
        dois = both { |record| Doi.plain(record.doi) }
        dois.none?(&:empty?) && dois.uniq.size == 2
      end

      def other_kind? = both { |record| record.title[OTHER_KIND]&.downcase }.uniq.size == 2
      def other_part? = both { |record| record.title.match(PART)&.[](:part)&.downcase }.uniq.size == 2

      def title
        one, two = both { |record| DuplicateKey.title_words(record.title).uniq }
        return 0.0 if one.empty? || two.empty?

        return one == two ? 1.0 : -3.0 if [one, two].map(&:size).min < FEW

        shared = 2.0 * (one & two).size / (one.size + two.size)
        return 3.0 if shared >= ALIKE

        shared >= NEARLY || one.first(two.size) == two || two.first(one.size) == one ? 2.0 : -3.0
      end

      # The first author tells most; another one in common helps.
      def authors
        one, two = both { |record| record.authors.map { |author| DuplicateKey.family(author) }.reject(&:empty?) }
        return 0.0 if one.empty? || two.empty?

        first = one.first == two.first ? 2.0 : -3.0
        first + (one.drop(1).intersect?(two.drop(1)) ? 0.5 : 0.0)
      end

      # A paper that was online first has two years, one apart.
      def year
        one, two = both(&:year)
        return 0.0 unless one && two

        apart = (one - two).abs
        { 0 => 1.0, 1 => 0.5 }.fetch(apart, -3.0)
      end

      def page = compared(2.0, -3.0) { |record| record.pages.to_s[/\w+/].to_s.downcase.sub(/\A[a-z]?0*/, "") }
      def volume = compared(1.0, -1.0) { |record| record.volume.to_s[/\d+/].to_s }

      # "J Adv Nurs" is the Journal of Advanced Nursing: each word begins as the other's does.
      def journal
        one, two = both { |record| Text::Tokens.of(record.journal.to_s) - %w[the of and for in] }
        return 0.0 if one.empty? || two.empty?

        one.size == two.size && one.zip(two).all? { |a, b| a.start_with?(b) || b.start_with?(a) } ? 1.0 : -1.0
      end

      def both = [yield(@one), yield(@two)]

      # Points for what both say and that is the same, and for what is not.
      def compared(same, other, &)
        one, two = both(&)
        return 0.0 if one.empty? || two.empty?

        one == two ? same : other
      end

      # By what records that may be the same paper are found: their DOI, or else the words of the
      # title before its colon with the first author's family name. SamePaper decides.
      module DuplicateKey
        # Words that say little of a title, and that one catalogue has and another leaves out.
        FILLING = %w[and a an the].freeze
        # Where a title ends and its subtitle begins.
        SUBTITLE = /(?<=\p{L}{4})\s*(?:[:?]|\.\s|\s[–—-]\s)/
        # Fewer words of a main title than these do not tell papers apart: the whole title is taken.
        FEW = 4
        private_constant :FILLING, :SUBTITLE, :FEW

        class << self
          # The DOI in one spelling, or nil.
          def doi(record)
            doi = Doi.plain(record.doi)
            doi.empty? ? nil : doi
          end

          # "words of the title|first author", or nil when too little is known to tell papers apart.
          def key(record)
            author = record.authors.first
            words = main_words(record.title)
            return if words.empty? || (author.nil? && words.size < FEW)

            "#{words.join(" ")}|#{family(author) if author}"
          end

          # The folded words of a title, without those that say little.
          def title_words(title) = Text::Tokens.of(title.tr("&", " ")) - FILLING

          # The last folded word of a family name: "van den Berg" is filed under Berg, too.
          def family(author) = Text::Tokens.of(author.family.to_s).last.to_s

          private

          def main_words(title)
            words = title_words(title.split(SUBTITLE, 2).first.to_s)
            words.size < FEW ? title_words(title) : words
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Records
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

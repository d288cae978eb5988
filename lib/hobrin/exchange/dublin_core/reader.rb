# frozen_string_literal: true

module Hobrin
  module Exchange
    module DublinCore
      # Reads one record of Dublin Core. What it calls a subject may be a heading or a keyword: it
      # is taken as a keyword, and the thesaurus says which of them are headings.
      class Reader
        DOI = %r{\A(?:doi:\s*|https?://(?:dx\.)?doi\.org/|info:doi/)?(10\.\d{4,9}/\S+)\z}i
        private_constant :DOI

        def needs?(_entry) = false

        # text :: one record. Gives a Records::Record. Raises InputError, ArgumentError without a
        #   title.
        def call(text)
          node = Xml.root(text)
          title = Xml.said(node, "./title")
          identifiers = Xml.all(node, "./identifier")
          doi = identifiers.filter_map { |identifier| identifier[DOI, 1] }.first
          plain = identifiers.grep_v(DOI)
          links, names = plain.partition { |one| one.match?(%r{\Ahttps?://}) }
          Records::Record.new(
            id: Identity.of(names.first, doi, title, Xml.said(node, "./date")), title:, doi:,
            links:,
            abstract: (Xml.all(node, "./description") - [SAMPLE_NOTE]).first,
            authors: authors(node),
            keywords: Xml.all(node, "./subject"), types: types(node), journal: Xml.said(node,
                                                                                        "./source"),
            published: Xml.all(node, "./date").filter_map { |date| Published.of(date) }.first,
            language: Xml.all(node, "./language").filter_map { |one| Records::Languages.code(one) }.first
          )
        end

        private

        def types(node) = Xml.all(node, "./type").map(&:downcase) & Records::StudyTypes::ALL

        def authors(node)
          Xml.all(node, "./creator").map do |name|
            family, given = name.split(/\s*,\s*/, 2)
            Records::Author.new(family:, given:)
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Exchange
    module Bibtex
      # Reads one entry of BibTeX with the bibtex-ruby gem, which is loaded only when it is needed.
      class Reader
        DIRECTIVE = /\A\s*@\s*(string|comment|preamble)\b/i
        STRING = /\A\s*@\s*string\b/i
        # Letters of all authors.
        MOST_AUTHORS = 50_000
        private_constant :DIRECTIVE, :STRING, :MOST_AUTHORS

        def initialize
          require "bibtex"
          # The gem says on standard error what it stumbles on; a refusal says it at its place.
          BibTeX.log.level = Logger::FATAL
          @abbreviations = Abbreviations.new
        end

        # An abbreviation (@string) is needed by the entries after it.
        def needs?(entry) = entry.text.match?(STRING)

        # text :: one entry. Gives the Record, or nil for what is no entry (@string, @comment, @preamble).
        # Raises ArgumentError without a title, InputError for what cannot be read.
        def call(text)
          return directive(text) if text.match?(DIRECTIVE)

          entry = parsed(text)
          field = ->(*names) { names.filter_map { |name| plain(entry[name]) }.first }
          title = field.call(:title)
          Records::Record.new(
            id: Entry::Identity.of(field.call(:doi), nil, entry.key, title, field.call(:year)), title:,
            doi: field.call(:doi), abstract: field.call(:abstract), authors: authors(entry),
            published: published(entry, field), volume: field.call(:volume),
            journal: field.call(:journal, :journaltitle, :booktitle),
            issue: field.call(:number, :issue), pages: field.call(:pages)&.gsub(/-+|–/, "-"),
            language: Records::Languages.code(field.call(:language, :langid)), links: [field.call(:url)].compact,
            keywords: Indexing::Keyword.parted(field.call(:keywords, :keyword))
          )
        end

        private

        def directive(text)
          @abbreviations.add(text) if text.match?(STRING)
          nil
        end

        def parsed(text)
          text = [@abbreviations.needed(text), braced(text)].join("\n")
          bibliography = BibTeX.parse(text, parse_months: false, allow_missing_keys: true)
          entry = bibliography.replace_strings.find { |part| part.is_a?(BibTeX::Entry) }
          entry or raise InputError, { file: Book.t("exports.entry.not_bibtex") }
        rescue BibTeX::ParseError
          raise InputError, { file: Book.t("exports.entry.not_bibtex") }
        end

        # An entry may be held by parentheses in place of braces.
        def braced(text) = text.sub(/\A(\s*@\s*\w+\s*)\((.*)\)\s*\z/m, '\1{\2}')

        def plain(value) = value && Tex.read(value)

        # "and others" stands for people, but is none.
        def authors(entry)
          return [] unless entry.field?(:author)

          people = entry[:author].to_s
          raise InputError, { file: Book.t("exports.entry.long_authors", most: MOST_AUTHORS) } if people.size > MOST_AUTHORS

          BibTeX::Names.parse(people).filter_map do |name|
            next if name.to_s.casecmp?("others")

            family = [name.prefix, name.last].compact.join(" ")
            Records::Author.new(family: plain(family.empty? ? name.to_s : family) || "", given: plain(name.first),
                                suffix: plain(name.suffix))
          end
        end

        def published(entry, field)
          whole = field.call(:date)
          return Published.of(whole) if whole

          Published.of(field.call(:year), entry.field?(:month) ? entry[:month].to_s : nil)
        end
      end
    end
  end
end

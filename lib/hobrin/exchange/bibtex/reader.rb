# frozen_string_literal: true

module Hobrin
  module Exchange
    module Bibtex
      # Reads one entry of BibTeX with the bibtex-ruby gem, which is loaded only when it is needed.
      class Reader
        DIRECTIVE = /\A\s*@\s*(string|comment|preamble)\b/i
        STRING = /\A\s*@\s*string\b/i
        # Braces and backslashes that are meant as such go round the decoder in letters of Unicode's
        # private area.
        KEPT = { "\\textbraceleft{}" => "\u{E001}", "\\textbraceright{}" => "\u{E002}",
                 "\\textbackslash{}" => "\u{E003}" }.freeze
        KEPT_PATTERN = Regexp.union(KEPT.keys)
        PLAIN = { "\u{E001}" => "{", "\u{E002}" => "}", "\u{E003}" => "\\" }.freeze
        PLAIN_PATTERN = Regexp.union(PLAIN.keys)
        private_constant :DIRECTIVE, :STRING, :KEPT, :KEPT_PATTERN, :PLAIN, :PLAIN_PATTERN

        def initialize
          require "bibtex"
          # The gem says on standard error what it stumbles on; a refusal says it at its place.
          BibTeX.log.level = Logger::FATAL
          @strings = []
        end

        # An abbreviation (@string) is needed by the entries after it.
        def needs?(entry) = entry.text.match?(STRING)

        # text :: one entry. Gives the Record, or nil for what is no entry (@string, @comment,
        #   @preamble).
        # Raises ArgumentError without a title, InputError for what cannot be read.
        def call(text)
          return directive(text) if text.match?(DIRECTIVE)

          entry = parsed(text)
          field = ->(*names) { names.filter_map { |name| plain(entry[name]) }.first }
          title = field.call(:title)
          Records::Record.new(
            id: Identity.of(entry.key, field.call(:doi), title, field.call(:year)), title:, doi: field.call(:doi),
            abstract: field.call(:abstract), authors: authors(entry), published: published(entry, field),
            journal: field.call(:journal, :journaltitle, :booktitle), volume: field.call(:volume),
            issue: field.call(:number, :issue), pages: field.call(:pages)&.gsub(/-+|–/, "-"),
            language: Records::Languages.code(field.call(:language, :langid)), links: [field.call(:url)].compact,
            keywords: field.call(:keywords, :keyword).to_s.split(/\s*[,;]\s*/).reject(&:empty?)
          )
        end

        private

        def directive(text)
          @strings << text if text.match?(STRING)
          nil
        end

        def parsed(text)
          text = [*@strings, braced(text)].join("\n")
          bibliography = BibTeX.parse(text, parse_months: false, allow_missing_keys: true)
          entry = bibliography.replace_strings.find { |part| part.is_a?(BibTeX::Entry) }
          entry or raise InputError, { file: "is not a BibTeX entry" }
        rescue BibTeX::ParseError
          raise InputError, { file: "is not a BibTeX entry" }
        end

        # An entry may be held by parentheses in place of braces.
        def braced(text) = text.sub(/\A(\s*@\s*\w+\s*)\((.*)\)\s*\z/m, '\1{\2}')

        # The text of a value without TeX: accents as letters, braces gone. nil for an empty one.
        def plain(value)
          return if value.nil?

          text = LaTeX.decode(value.to_s.gsub(KEPT_PATTERN, KEPT)).gsub(/[{}]/, "").gsub(
            PLAIN_PATTERN, PLAIN
          )
          text = text.gsub(/\s+/, " ").strip
          text unless text.empty?
        end

        def authors(entry)
          return [] unless entry.field?(:author)

          names = BibTeX::Names.parse(entry[:author].to_s)
          names.map do |name|
            family = [name.prefix, name.last].compact.join(" ")
            Records::Author.new(family: plain(family.empty? ? name.to_s : family) || "",
                                given: plain(name.first))
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

# frozen_string_literal: true

module Hobrin
  module Exchange
    module CslJson
      # Reads one item of CSL-JSON.
      class Reader
        # How items are parsed: no deeper than an item is, and into frozen texts.
        SAFE = { max_nesting: 20, freeze: true }.freeze

        class << self
          # One CSL item as a Hash, with String keys, in; the Record out.
          # Raises InputError, naming the field, for one that is of another kind than it should be.
          def item(item)
            from = Typed.new(item)
            custom = Typed.new(from.hash("custom"))
            Records::Record.new(
              id: Entry::Identity.of(from.text_or_number("id"), from.text("DOI"), from.text("title")),
              title: from.text("title"), abstract: from.text("abstract"), authors: authors(from, custom),
              journal: from.text("container-title"), volume: from.text_or_number("volume"),
              issue: from.text_or_number("issue"), pages: from.text_or_number("page"),
              published: published(from), doi: from.text("DOI"), language: language(from.text("language")),
              keywords: keywords(from, custom), **from_custom(custom)
            )
          end

          # One that is kept already, perhaps by a Hobrin that looked less closely: what is odd in
          # it must break no page.
          def kept(item)
            item(item)
          rescue InputError
            title = Book.t("exports.entry.unreadable_record", title: item["title"].inspect[0, 200])
            Records::Record.new(id: item["id"].to_s, title:)
          end

          private

          def language(text) = Records::Languages.code(text) || text

          def from_custom(custom)
            lists = %w[types ages sex species flags cites links].to_h do |name|
              [name.to_sym, custom.texts(name)]
            end
            headings = custom.hashes("headings").map { |heading| indexing(Typed.new(heading)) }
            { **lists, headings:, added: custom.text("added"), country: custom.text("place") }
          end

          # The schema has one text; some programs write a list.
          def keywords(from, custom)
            listed = custom.texts("keywords")
            return listed if listed.any?

            from.list?("keyword") ? from.texts("keyword") : Indexing::Keyword.parted(from.text("keyword"))
          end

          def authors(from, custom)
            nurses = custom.numbers("nurses")
            from.hashes("author").each_with_index.map do |given, place|
              name = Typed.new(given)
              family = [name.text("non-dropping-particle"),
                        name.text("family") || name.text("literal") || ""].compact.join(" ")
              Records::Author.new(family:, given: name.text("given"), nurse: nurses.include?(place),
                                  suffix: name.text("suffix"), particle: name.text("dropping-particle"))
            end
          end

          def indexing(heading)
            label = heading.text("label") or heading.refuse("label")
            Records::Indexing.new(label:, main: heading.flag("main"), aspects: heading.texts("aspects"),
                                  stands_for: heading.hashes("stands_for").map { |part| part(Typed.new(part)) })
          end

          # What a heading stands for is a keyword or a heading, and stands for nothing else.
          def part(given)
            given.text("keyword") || indexing(given).then { |indexing| indexing.with(stands_for: []) }
          end

          def published(from)
            issued = Typed.new(from.hash("issued"))
            parts = issued.date_parts
            parts ? Published.of(*parts) : Published.of(issued.text("raw") || issued.text("literal"))
          end
        end

        # Nothing in one item is needed to understand another.
        def needs?(_entry) = false

        # text :: one item as JSON, or what JSON.parse makes of it. Gives the Record. Raises
        #   InputError or ArgumentError.
        def call(text)
          item = text.is_a?(String) ? JSON.parse(text, **SAFE) : text
          raise ArgumentError, Book.t("exports.entry.not_csl") unless item.is_a?(Hash)

          Reader.item(item)
        rescue JSON::ParserError
          raise InputError, { file: Book.t("exports.entry.not_json") }
        end
      end
    end
  end
end

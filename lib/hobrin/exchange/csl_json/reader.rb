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
          # Raises InputError, or the ArgumentError, TypeError or NoMethodError of a field that is
          # of another kind.
          def item(item)
            custom = item["custom"] || {}
            Records::Record.new(
              id: Identity.of(item["id"], item["DOI"], item["title"]), title: item["title"], abstract: item["abstract"],
              authors: authors(item, custom), journal: item["container-title"], volume: item["volume"]&.to_s,
              issue: item["issue"]&.to_s, pages: item["page"]&.to_s, published: published(item), doi: item["DOI"],
              language: Records::Languages.code(item["language"]) || item["language"],
              keywords: keywords(custom["keywords"] || item["keyword"]), **from_custom(custom)
            )
          end

          private

          def from_custom(custom)
            lists = %w[types ages sex species flags cites links].to_h do |name|
              [name.to_sym, custom.fetch(name, [])]
            end
            { **lists, headings: custom.fetch("headings", []).map { |heading| indexing(heading) },
                       added: custom["added"], country: custom["place"] }
          end

          # The schema has one text; some programs write a list.
          def keywords(given) = given.is_a?(Array) ? given.map(&:to_s) : Keyword.parted(given.to_s)

          def authors(item, custom)
            nurses = custom.fetch("nurses", [])
            item.fetch("author", []).each_with_index.map do |name, place|
              family = [name["non-dropping-particle"],
                        name["family"] || name["literal"] || ""].compact.join(" ")
              Records::Author.new(family:, given: name["given"], nurse: nurses.include?(place), suffix: name["suffix"],
                                  particle: name["dropping-particle"])
            end
          end

          def indexing(heading)
            Records::Indexing.new(label: heading.fetch("label"), main: heading["main"],
                                  aspects: heading.fetch("aspects", []))
          end

          def published(item)
            parts = item.dig("issued", "date-parts", 0)
            return Published.of(item.dig("issued",
                                         "raw") || item.dig("issued", "literal")) unless parts

            Published.of(*parts)
          end
        end

        # Nothing in one item is needed to understand another.
        def needs?(_entry) = false

        # text :: one item as JSON, or what JSON.parse makes of it. Gives the Record. Raises
        #   InputError or ArgumentError.
        def call(text)
          item = text.is_a?(String) ? JSON.parse(text, **SAFE) : text
          raise ArgumentError, "is not a CSL item" unless item.is_a?(Hash)

          Reader.item(item)
        rescue JSON::ParserError
          raise InputError, { file: "is not JSON" }
        end
      end
    end
  end
end

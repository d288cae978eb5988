# frozen_string_literal: true

module Hobrin
  module Exchange
    module CslJson
      # Reads records from a CSL-JSON document.
      module Reader
        # An entry that could not be read: its place in the file from 1, and why.
        Refusal = Struct.new(:place, :reason, keyword_init: true)

        class << self
          # text :: a JSON document. Gives [Array of Record, Array of Refusal].
          # Raises InputError (:file) when it is not a JSON list.
          def call(text)
            items = JSON.parse(text)
            raise InputError, { file: "This is JSON, but not a list of CSL items." } unless items.is_a?(Array)

            read, refused = items.each_with_index.map { |item, place| read(item, place + 1) }
                                 .partition { |result| result.is_a?(Records::Record) }
            [read, refused]
          rescue JSON::ParserError => e
            raise InputError, { file: "This is not JSON: #{e.message[0, 120]}" }
          end

          # One CSL item as a Hash, with String keys, in; the Record out.
          # Raises ArgumentError when it lacks an id or a title.
          def item(item)
            custom = item["custom"] || {}
            Records::Record.new(
              id: item["id"]&.to_s, title: item["title"], abstract: item["abstract"], authors: authors(item, custom),
              journal: item["container-title"], volume: item["volume"]&.to_s, issue: item["issue"]&.to_s,
              pages: item["page"]&.to_s, published: published(item), doi: item["DOI"], language: item["language"],
              keywords: item["keyword"].to_s.split(/\s*[,;]\s*/), **from_custom(custom)
            )
          end

          private

          def read(item, place)
            item(item)
          rescue ArgumentError, NoMethodError, TypeError => e
            Refusal.new(place:, reason: e.is_a?(ArgumentError) ? e.message : "is not a CSL item")
          end

          def from_custom(custom)
            lists = %w[types ages sex species flags cites links].to_h { |name| [name.to_sym, custom.fetch(name, [])] }
            { **lists, headings: custom.fetch("headings", []).map { |heading| indexing(heading) },
                       added: custom["added"], country: custom["place"] }
          end

          def authors(item, custom)
            nurses = custom.fetch("nurses", [])
            item.fetch("author", []).each_with_index.map do |name, place|
              Records::Author.new(family: name["family"] || name["literal"] || "", given: name["given"],
                                  nurse: nurses.include?(place))
            end
          end

          def indexing(heading)
            Records::Indexing.new(label: heading.fetch("label"), main: heading["main"],
                                  aspects: heading.fetch("aspects", []))
          end

          def published(item)
            parts = item.dig("issued", "date-parts", 0) or return
            parts.each_with_index.map { |part, place| part.to_i.to_s.rjust(place.zero? ? 4 : 2, "0") }.join("-")
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Exchange
    module CslJson
      # Records as CSL-JSON (the input format of citation processors, schema 1.0). What CSL has no
      # field for stands under `custom`.
      module Writer
        class << self
          # Array of Record in; one JSON document out. sample :: marks each record as made up.
          def call(records, sample: false) = "".dup.tap { |text| stream(records, text, sample:) }

          # As `call`, bit by bit. records :: any Enumerable of Record; out :: whatever takes <<
          def stream(records, out, sample: false)
            out << "["
            records.each_with_index do |record, place|
              out << (place.zero? ? "\n" : ",\n") << JSON.pretty_generate(item(record, sample:)).gsub(
                /^/, "  "
              )
            end
            out << "\n]\n"
          end

          # One Record as a Hash ready for JSON.
          def item(record, sample: false)
            compact(
              "id" => record.id, "type" => "article-journal", "title" => record.title,
              "author" => record.authors.map { |author| name(author) },
              "container-title" => record.journal, "volume" => record.volume, "issue" => record.issue,
              "page" => record.pages, "issued" => issued(record.published), "DOI" => record.doi,
              "abstract" => record.abstract, "keyword" => Indexing::Keyword.joined(record.keywords),
              "language" => record.language, "note" => (SAMPLE_NOTE if sample), "custom" => custom(record)
            )
          end

          private

          def name(author)
            compact("family" => author.family, "given" => author.given, "dropping-particle" => author.particle,
                    "suffix" => author.suffix)
          end

          def issued(published)
            published && { "date-parts" => [published.split("-").map(&:to_i)] }
          end

          def custom(record)
            compact("types" => record.types, "headings" => record.headings.map { |one| heading(one) },
                    "ages" => record.ages, "sex" => record.sex, "species" => record.species, "place" => record.country,
                    "flags" => record.flags, "added" => record.added, "cites" => record.cites, "links" => record.links,
                    "keywords" => (record.keywords unless Indexing::Keyword.whole?(record.keywords)),
                    "nurses" => nurses(record.authors))
          end

          def nurses(authors)
            authors.each_index.select { |place| authors[place].nurse } if authors.any?(&:nurse)
          end

          def heading(indexing)
            compact("label" => indexing.label, "main" => indexing.main || nil, "aspects" => indexing.aspects,
                    "stands_for" => indexing.stands_for.map { |part| part(part) })
          end

          def part(part) = part.is_a?(String) ? { "keyword" => part } : heading(part)

          def compact(hash)
            hash.delete_if { |_, value| absent?(value) }
          end

          def absent?(value)
            case value
            when nil then true
            when String, Array, Hash then value.empty?
            end
          end
        end
      end
    end
  end
end

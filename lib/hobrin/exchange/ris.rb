# frozen_string_literal: true

module Hobrin
  module Exchange
    # RIS, the tagged format that reference managers share.
    module Ris
      NAME = "RIS"
      EXTENSION = "ris"
      TYPE = "application/x-research-info-systems"

      # Records as RIS: "TAG  - value" lines ending in CR LF, a record from TY to ER. A main topic has a
      # * before its heading among the keywords.
      module Writer
        class << self
          # Array of Record in; one String out. sample :: marks each record as made up.
          def call(records, sample: false) = "".dup.tap { |text| stream(records, text, sample:) }

          # As `call`, bit by bit. records :: any Enumerable of Record; out :: whatever takes <<
          def stream(records, out, sample: false)
            records.each_with_index do |record, place|
              out << "\r\n" unless place.zero?
              entry(record, sample:).each { |line| out << line << "\r\n" }
            end
          end

          private

          def entry(record, sample:)
            [tag("TY", "JOUR"), tag("ID", record.id),
             *record.authors.map { |author| tag("AU", name(author)) },
             *single_tags(record),
             *pages(record.pages), *record.keywords.map { |word| tag("KW", word) },
             *record.headings.flat_map { |heading| Indexing::Keyword.written(heading) }.map { |word| tag("KW", word) },
             *record.types.map { |type| tag("M3", type) },
             *record.links.map { |link| tag("UR", link) },
             *(tag("N1", "Retracted") if record.retracted?), *(tag("N1", SAMPLE_NOTE) if sample), tag("ER", "")].compact
          end

          # "Family, Given, Suffix"; a place is kept for a given name that is not there.
          def name(author)
            parts = [author.family, author.given_and_particle, author.suffix]
            parts.pop while parts.last.to_s.empty? && parts.size > 1
            parts.join(", ")
          end

          def single_tags(record)
            { "TI" => record.title, "T2" => record.journal, "PY" => record.year, "DA" => date(record.published),
              "VL" => record.volume, "IS" => record.issue, "DO" => record.doi, "LA" => record.language,
              "AB" => record.abstract }.map { |name, value| tag(name, value) if value.to_s != "" }
          end

          def date(published)
            published && "#{published.tr("-", "/")}#{"/" * (3 - published.split("-").size)}"
          end

          def pages(pages)
            first, last = pages.to_s.split(/[-–]/, 2)
            [(tag("SP", first) if first), (tag("EP", last) if last)]
          end

          # A line break inside a value would end it, so it becomes a space.
          def tag(name, value) = "#{name}  - #{value.to_s.gsub(/[[:cntrl:]]+/, " ")}"
        end
      end
    end
  end
end

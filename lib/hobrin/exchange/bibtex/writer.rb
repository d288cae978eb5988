# frozen_string_literal: true

module Hobrin
  module Exchange
    module Bibtex
      # Records as BibTeX, in UTF-8, with what is special to TeX kept from being read as such.
      module Writer
        MONTHS = %w[jan feb mar apr may jun jul aug sep oct nov dec].freeze
        # A word with a capital somewhere: a name, or an abbreviation. Readers write titles small.
        CAPITALS = /[^\s{}]*\p{Lu}[^\s{}]*/
        # What readers of names part them by, or stumble over.
        PARTING = /[^\p{L}\p{M}\p{N} .’-]|\band\b|-{2}/i
        # Read as they are, not as TeX.
        VERBATIM = %w[doi url].freeze
        private_constant :MONTHS, :CAPITALS, :PARTING, :VERBATIM

        class << self
          # Array of Record in; one String out. sample :: marks each record as made up.
          def call(records, sample: false) = "".dup.tap { |text| stream(records, text, sample:) }

          # As `call`, bit by bit. records :: any Enumerable of Record; out :: whatever takes <<
          def stream(records, out, sample: false)
            keys = Hash.new(0)
            records.each_with_index do |record, place|
              out << "\n" unless place.zero?
              out << entry(record, key(record, keys), sample:)
            end
          end

          private

          def entry(record, key, sample:)
            stated = fields(record, sample:).reject { |_, value| value.to_s.empty? }
            lines = stated.map { |name, value| "  #{name} = #{value(name, value)},\n" }
            "@article{#{key},\n#{lines.join}}\n"
          end

          def fields(record, sample:)
            { "title" => record.title, "author" => record.authors.map { |author| name(author) }.join(" and "),
              "journal" => record.journal, "year" => record.year, "month" => month(record.published),
              "date" => record.published, "volume" => record.volume, "number" => record.issue,
              "pages" => record.pages, "doi" => record.doi, "url" => record.links.first,
              "language" => record.language, "abstract" => record.abstract, "keywords" => keywords(record),
              "note" => [*("Retracted" if record.retracted?), *(SAMPLE_NOTE if sample)].join(". ") }
          end

          # The name of a month is one of BibTeX's own words, and stands without braces.
          def month(published) = published.to_s.size > 4 ? MONTHS[published[5, 2].to_i - 1] : nil

          def keywords(record)
            Indexing::Keyword.joined([*record.keywords, *record.headings.flat_map { |heading| Indexing::Keyword.written(heading) }])
          end

          # "Family, Suffix, Given". A name that is not a person's, or that holds what BibTeX parts
          # names by, keeps together in braces.
          def name(author)
            [part(author.family, whole: author.given.to_s.empty? && author.family.include?(" ")),
             part(author.suffix), part(author.given_and_particle)].compact.join(", ")
          end

          def part(text, whole: false)
            return if text.to_s.empty?

            whole || text.match?(PARTING) ? "{#{Tex.write(text)}}" : Tex.write(text)
          end

          # "zorvane2021", with a letter behind it when that is taken: letters and digits only.
          def key(record, keys)
            name = record.authors.first&.family || record.title
            plain = Text::Tokens.line(name).tr("^a-z0-9", "")
            base = "#{plain.empty? ? "paper" : plain[0, 30]}#{record.year}"
            count = keys[base] += 1
            count == 1 ? base : "#{base}-#{count}"
          end

          def value(name, value)
            case name
            when "month" then value
            when "author" then "{#{value}}"
            when "title" then "{#{titled(value)}}"
            when "pages" then "{#{Tex.write(value).sub(/(?<=\d)[-–](?=\w)/, "--")}}"
            when *VERBATIM then "{#{verbatim(value)}}"
            else "{#{Tex.write(value)}}"
            end
          end

          # The first word's capital is anyone's; all others are meant.
          def titled(title)
            first = true
            Tex.write(title).gsub(CAPITALS) do |word|
              plain = first && Regexp.last_match.begin(0).zero? && word.match?(/\A\p{Lu}[^\p{Lu}]*\z/)
              first = false
              plain || word.include?("\\") ? word : "{#{word}}"
            end
          end

          def verbatim(value) = value.to_s.gsub(/[\s{}\\]/, "")
        end
      end
    end
  end
end

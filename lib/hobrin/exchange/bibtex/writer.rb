# frozen_string_literal: true

module Hobrin
  module Exchange
    module Bibtex
      # Records as BibTeX, in UTF-8, with what is special to TeX kept from being read as such.
      module Writer
        SPECIAL = { "\\" => "\\textbackslash{}", "{" => "\\textbraceleft{}", "}" => "\\textbraceright{}", "&" => "\\&",
                    "%" => "\\%", "$" => "\\$", "#" => "\\#", "_" => "\\_", "~" => "\\textasciitilde{}",
                    "^" => "\\textasciicircum{}" }.freeze
        SPECIAL_PATTERN = /[\\{}&%$#_~^]/
        # Read as they are, not as TeX.
        VERBATIM = %w[doi url].freeze
        private_constant :SPECIAL, :SPECIAL_PATTERN, :VERBATIM

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
            lines = stated.map { |name, value| "  #{name} = {#{text(name, value)}},\n" }
            "@article{#{key},\n#{lines.join}}\n"
          end

          def fields(record, sample:)
            { "title" => record.title, "author" => record.authors.map do |author|
              name(author)
            end.join(" and "),
              "journal" => record.journal, "year" => record.year, "date" => record.published, "volume" => record.volume,
              "number" => record.issue, "pages" => record.pages&.sub(/[-–]/, "--"), "doi" => record.doi,
              "language" => record.language, "abstract" => record.abstract, "keywords" => keywords(record),
              "note" => (SAMPLE_NOTE if sample) }
          end

          def keywords(record)
            [*record.keywords, *record.headings.flat_map do |heading|
              Keyword.written(heading)
            end].join(", ")
          end

          # "Family, Given"; a family name of several words keeps together.
          def name(author)
            [author.family, author.given].compact.join(", ").gsub(/ and /i, " {and} ")
          end

          # "zorvane2021", with a letter behind it when that is taken: letters and digits only.
          def key(record, keys)
            name = record.authors.first&.family || record.title
            plain = Text::Tokens.line(name).tr("^a-z0-9", "")
            base = "#{plain.empty? ? "paper" : plain[0, 30]}#{record.year}"
            count = keys[base] += 1
            count == 1 ? base : "#{base}-#{count}"
          end

          def text(name, value) = VERBATIM.include?(name) ? verbatim(value) : escaped(value)

          def escaped(value) = value.to_s.gsub(/\s+/, " ").gsub(SPECIAL_PATTERN, SPECIAL)

          def verbatim(value) = value.to_s.gsub(/[\s{}\\]/, "")
        end
      end
    end
  end
end

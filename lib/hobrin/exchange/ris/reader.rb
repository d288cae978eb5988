# frozen_string_literal: true

module Hobrin
  module Exchange
    module Ris
      # Reads one entry of RIS. Where programs use different tags for one thing, the first that is
      # there counts.
      class Reader
        LINE = /\A\s*([A-Z][A-Z0-9]) {1,2}- ?(.*)\z/
        # At how many letters a value is cut when it is (common practice, no source).
        CUT = 70
        private_constant :LINE, :CUT

        # Nothing in one entry is needed to understand another.
        def needs?(_entry) = false

        # text :: one entry. Gives the Record. Raises ArgumentError without a title.
        def call(text)
          tags = tags(text)
          one = lambda { |*names|
            names.filter_map { |name| tags[name]&.first }.find { |value| !value.empty? }
          }
          title = one.call("TI", "T1", "CT")
          Records::Record.new(
            id: id(one, title, tags), title:, abstract: one.call("AB", "N2"), authors: authors(tags),
            doi: one.call("DO"),
            journal: one.call("T2", "JF", "JO", "JA", "J2"), volume: one.call("VL"), issue: one.call("IS"),
            pages: pages(one), published: published(one), keywords: keywords(tags), links: tags["UR"],
            language: Records::Languages.code(one.call("LA")), **types(tags)
          )
        end

        private

        # Hash of tag to its values; a line without a tag goes on from the one before.
        def tags(text)
          pieces = text.split("\n").each_with_object([]) do |line, found|
            tag, value = line.match(LINE)&.captures
            tag ? found << [tag, value] : found.last&.push(line)
          end
          pieces.group_by(&:first).transform_values do |same|
            same.map { |_, *parts| together(parts).gsub(/[[:blank:]]+/, " ").strip }
          end
        end

        # Some programs cut a long value every so many letters, also within a word; others break
        # between words.
        def together(parts)
          sizes = parts[0...-1].map(&:size).uniq
          cut = sizes.size == 1 && (sizes.first == CUT || (parts.size > 2 && sizes.first > CUT))
          cut ? parts.join : parts.map(&:strip).join(" ")
        end

        # Some programs cut an id short; where the DOI goes on from it, the DOI is the id.
        def id(one, title, tags)
          given, doi = one.call("ID", "AN"), one.call("DO")
          given = doi if given && doi&.start_with?(given)
          Entry::Identity.of(given, doi, title, one.call("PY", "Y1"), tags["AU"])
        end

        def authors(tags)
          tags.fetch("AU") { tags.fetch("A1", []) }.reject(&:empty?).map do |name|
            family, given, suffix = name.split(/\s*,\s*/, 3).map { |part| part unless part.empty? }
            Records::Author.new(family: family.to_s, given:, suffix:)
          end
        end

        # One to a line; or all in one, with semicolons.
        def keywords(tags)
          given = tags.fetch("KW", []).reject(&:empty?)
          given.one? ? given.first.split(/\s*;\s*/).reject(&:empty?) : given
        end

        # Types of study that programs write as the type of work.
        def types(tags)
          { types: tags.fetch("M3", []).flat_map { |value| value.downcase.split(/\s*;\s*/) } & Records::StudyTypes::ALL }
        end

        def pages(one)
          first, last = one.call("SP"), one.call("EP")
          first.to_s.include?("-") || last.nil? ? first : "#{first}-#{last}"
        end

        def published(one)
          dates = [one.call("DA"), one.call("PY", "Y1")].map { |text| Published.of(text) }.compact
          dates.max_by(&:size)
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Exchange
    module Marcxml
      # Reads one MARC record. Fields: 001 and 024 what it is called, 041 and 008 language, 100 and
      # 700 authors, 245 title, 260 and 264 date, 520 abstract, 650 headings, 653 keywords, 655
      # kinds of work, 773 where it appeared, 856 links.
      class Reader
        ENDING = %r{\s*[/:;,.]\s*\z}
        # What stands after a comma in a name and is no given name.
        PLACE_OF_LANGUAGE = (35..37)
        MAIN = "1"
        private_constant :ENDING, :PLACE_OF_LANGUAGE, :MAIN

        def needs?(_entry) = false

        # text :: one record. Gives a Records::Record. Raises InputError, ArgumentError without a
        #   title.
        def call(text)
          node = Xml.root(text)
          title = title(node)
          doi = doi(node)
          Records::Record.new(
            id: Identity.of(control(node, "001"), doi, title, date(node)), title:, doi:,
            abstract: one(node, "520", "a"), authors: authors(node), published: date(node),
            language: language(node), keywords: every(node, "653", "a"),
            headings: headings(node), types: types(node), links: every(node, "856", "u"),
            flags: flags(node), **host(node)
          )
        end

        private

        def control(node, tag) = Xml.said(node, "./controlfield[@tag='#{tag}']")
        def fields(node, tag) = node.xpath("./datafield[@tag='#{tag}']")
        def parts(field, code) = Xml.all(field, "./subfield[@code='#{code}']")

        def every(node, tag, code) = fields(node, tag).flat_map { |field| parts(field, code) }
        def one(node, tag, code) = every(node, tag, code).first

        # By the rules of cataloguing a sign stands at the end where something follows, here who is
        # responsible; otherwise it belongs to the title.
        def title(node)
          field = fields(node, "245").first or return
          text = [*parts(field, "a"), *parts(field, "b")].join(" ")
          parts(field, "c").any? ? text.sub(ENDING, "") : text
        end

        def doi(node)
          field = fields(node, "024").find do |field|
            parts(field, "2").any? { |kind| kind.casecmp?("doi") }
          end
          field && parts(field, "a").first
        end

        def date(node)
          %w[264 260].each do |tag|
            found = Published.of(one(node, tag, "c").to_s)
            return found if found
          end
          Published.of(control(node, "008").to_s[7, 4])
        end

        def language(node)
          Records::Languages.code(one(node, "041",
                                      "a") || control(node, "008").to_s[PLACE_OF_LANGUAGE])
        end

        def authors(node)
          %w[100 700].flat_map { |tag| fields(node, tag) }.filter_map do |field|
            name = parts(field, "a").first or next
            family, given = name.sub(/\s*,\s*\z/, "").split(/\s*,\s*/, 2)
            Records::Author.new(family:, given:, suffix: parts(field, "c").first)
          end
        end

        # The second indicator of 650 says which thesaurus, the first how much it matters: 1 is
        # main.
        def headings(node)
          found = fields(node, "650").filter_map do |field|
            label = parts(field, "a").first&.sub(/\.\z/, "") or next
            Records::Indexing.new(label:, main: field["ind1"] == MAIN, aspects: parts(field, "x"))
          end
          found.group_by(&:label).map do |label, same|
            Records::Indexing.new(label:, main: same.any?(&:main),
                                  aspects: same.flat_map(&:aspects).uniq)
          end
        end

        def types(node)
          fields(node, "655").flat_map { |field| parts(field, "a") }.map { |one| one.downcase.sub(/\.\z/, "") } &
            Records::StudyTypes::ALL
        end

        def flags(node)
          one(node, "500", "a") == "Retracted" ? [Records::Flags::RETRACTED] : []
        end

        # "Vol. 4, no. 2 (2021), p. 12-19" in many ways: the first numbers that stand behind each.
        def host(node)
          said = one(node, "773", "g").to_s
          { journal: one(node, "773", "t"),
            volume: said[/\bvol(?:ume|\.)?\s*([\w-]+)/i, 1],
            issue: said[/\b(?:no|issue|nr)\.?\s*([\w-]+)/i, 1],
            pages: said[/\bp(?:p|ages)?\.?\s*([\w–-]+)/i, 1] }
        end
      end
    end
  end
end

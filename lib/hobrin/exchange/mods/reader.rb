# frozen_string_literal: true

module Hobrin
  module Exchange
    module Mods
      # Reads one record of MODS.
      class Reader
        def needs?(_entry) = false

        # text :: one record. Gives a Records::Record. Raises InputError, ArgumentError without a
        #   title.
        def call(text)
          node = Xml.root(text)
          title, doi = title(node), Xml.said(node, "./identifier[@type='doi']")
          Records::Record.new(
            id: Identity.of(Xml.said(node, "./recordInfo/recordIdentifier"), doi, title,
                            date(node)), title:, doi:,
            abstract: Xml.said(node, "./abstract"), authors: authors(node), published: date(node),
            language: language(node), keywords: keywords(node), headings: headings(node),
            types: types(node),
            links: Xml.all(node, "./location/url"), flags: flags(node), **host(node)
          )
        end

        private

        def title(node)
          info = node.at_xpath("./titleInfo[not(@type)]") || node.at_xpath("./titleInfo") or return
          first = [Xml.said(info, "./nonSort"), Xml.said(info, "./title")].compact.join(" ")
          [first, Xml.said(info, "./subTitle")].compact.reject(&:empty?).join(": ")
        end

        def date(node)
          said = %w[dateIssued copyrightDate dateCreated].flat_map do |name|
            Xml.all(node,
                    "./originInfo/#{name}") + Xml.all(node,
                                                      "./relatedItem[@type='host']/originInfo/#{name}")
          end
          [*said, *Xml.all(node, "./relatedItem[@type='host']/part/date")].filter_map { |text| Published.of(text) }.max_by(&:size)
        end

        def language(node)
          Xml.all(node, "./language/languageTerm").filter_map { |term| Records::Languages.code(term) }.first
        end

        def authors(node)
          node.xpath("./name[not(@type) or @type='personal']").filter_map do |name|
            family, given, suffix = %w[family given termsOfAddress].map do |type|
              Xml.all(name, "./namePart[@type='#{type}']").join(" ")
            end
            family, given = Xml.said(name, "./namePart[not(@type)]").to_s.split(/\s*,\s*/, 2) if family.empty?
            next if family.to_s.empty?

            Records::Author.new(family:, given: (given unless given.to_s.empty?),
                                suffix: (suffix unless suffix.empty?))
          end
        end

        # A subject that names who says so is a heading; one that names nobody is a keyword.
        def headings(node)
          subjects(node, true).map do |subject|
            label, *aspects = Xml.all(subject, "./topic")
            Records::Indexing.new(label:, main: subject["displayLabel"] == MAIN, aspects:)
          end
        end

        def keywords(node)
          subjects(node, false).flat_map { |subject| Xml.all(subject, "./topic") }
        end

        def subjects(node, headings)
          node.xpath("./subject[topic]").select { |subject| !subject["authority"].nil? == headings }
        end

        def types(node) = Xml.all(node, "./genre").map(&:downcase) & Records::StudyTypes::ALL

        def flags(node)
          Xml.all(node, "./note").include?("Retracted") ? [Records::Flags::RETRACTED] : []
        end

        def host(node)
          item = node.at_xpath("./relatedItem[@type='host']") or return {}
          numbers = %w[volume issue].to_h do |name|
            [name.to_sym, Xml.said(item, "./part/detail[@type='#{name}']/number")]
          end
          { journal: Xml.said(item, "./titleInfo/title"), pages: pages(item), **numbers }
        end

        def pages(item)
          ends = %w[start end].filter_map { |name| Xml.said(item, "./part/extent[@unit='pages']/#{name}") }
          ends.join("-") if ends.any?
        end
      end
    end
  end
end

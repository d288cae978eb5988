# frozen_string_literal: true

module Hobrin
  module Exchange
    # Headings in formats that have only keywords: a * before or after it says that a heading is a
    # main topic, a slash parts it from an aspect (common practice, no source).
    module Keyword
      class << self
        # indexing :: Records::Indexing. Gives the texts that stand for it, one for each aspect.
        def written(indexing)
          star = indexing.main ? "*" : ""
          return ["#{star}#{indexing.label}"] if indexing.aspects.empty?

          indexing.aspects.map { |aspect| "#{star}#{indexing.label}/#{aspect}" }
        end

        # keywords :: Array of String. Gives one text; a semicolon between them where one holds a
        #   comma, and behind it where it is alone.
        #
        #   Keyword.joined(["pain, acute", "sleep"]) # => "pain, acute; sleep"
        def joined(keywords)
          return keywords.join(", ") if keywords.none? { |keyword| keyword.include?(",") }

          keywords.size == 1 ? "#{keywords.first};" : keywords.join("; ")
        end

        # Whether they come back from one text as they were.
        def whole?(keywords) = keywords.empty? || parted(joined(keywords)) == keywords

        # The other way: parted at semicolons where there are any, at commas otherwise.
        def parted(text)
          text.to_s.split(text.to_s.include?(";") ? ";" : ",").map(&:strip).reject(&:empty?)
        end

        # keywords :: Array of String; thesaurus :: Thesaurus.
        # Gives [Array of Indexing, Array of the keywords that are none]. A keyword is a heading
        # when it is a label, or with a star any name, of the thesaurus.
        def sorted(keywords, thesaurus)
          found, others = keywords.map { |keyword| indexing(keyword, thesaurus) || keyword }
                                  .partition { |one| one.is_a?(Records::Indexing) }
          [together(found), others]
        end

        private

        def indexing(keyword, thesaurus)
          main = keyword.start_with?("*") || keyword.end_with?("*")
          name = keyword.delete_prefix("*").delete_suffix("*").strip
          label, aspect = under_aspect(name, main, thesaurus) || heading(name, main, thesaurus)
          Records::Indexing.new(label:, main:, aspects: [*aspect]) if label
        end

        def heading(name, main, thesaurus)
          found = main ? thesaurus.named(name) : thesaurus.heading(name)
          # A slash parts an aspect from its heading; it is no space within a name.
          return if found && name.include?("/") && found.names.none? { |name| name.include?("/") }

          found && [found.label, nil]
        end

        def under_aspect(name, main, thesaurus)
          return unless name.include?("/")

          label, aspect = name.split("/", 2).map(&:strip)
          found = main ? thesaurus.named(label) : thesaurus.heading(label)
          [found.label, aspect] if found&.aspects&.include?(aspect)
        end

        # One Indexing for each label, with the aspects of all.
        def together(found)
          found.group_by(&:label).map do |label, same|
            Records::Indexing.new(label:, main: same.any?(&:main),
                                  aspects: same.flat_map(&:aspects).uniq)
          end
        end
      end
    end
  end
end

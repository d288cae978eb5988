# frozen_string_literal: true

module Hobrin
  module Exchange
    # Fits what a record from outside says of its headings to a thesaurus: headings get their
    # preferred labels, and what stands among the keywords though it is a heading goes to the
    # headings.
    class Indexing
      # strange, keywords :: Hash of heading, and of keyword, that the thesaurus lacks to the number
      #   of records that carry it
      attr_reader :strange, :keywords

      # thesaurus :: Thesaurus; matches :: Hash of a name from outside, folded, to the label that it
      #   stands for, as people said
      def initialize(thesaurus, matches: {})
        @thesaurus = thesaurus
        @matches = matches
        @strange = Hash.new(0)
        @keywords = Hash.new(0)
      end

      # record :: Records::Record. Gives one with its headings as the thesaurus has them. A name that
      # stands for a heading gives way to it, and the heading keeps it in mind.
      def call(record)
        return record if @thesaurus.headings.empty?

        found, others = Keyword.sorted(record.keywords, @thesaurus)
        names, own = record.headings.flat_map(&:parts).partition { |part| part.is_a?(String) }
        said, keywords = (others + names).partition { |name| matching(name) }
        keywords.each { |keyword| @keywords[keyword] += 1 }
        parts = own.map { |part| preferred(part) } + found + said
        headings = parts.group_by { |part| label(part) }
                        .map { |label, same| Indexing.together(label, same) }
        same = headings == record.headings && keywords == record.keywords
        same ? record : record.with(headings:, keywords:)
      end

      class << self
        # A record in which a name from outside stands again as it was, beside the heading or in its
        # place. name :: as it was matched
        def without(record, name)
          plain = Text::Tokens.line(name)
          back, headings = [], []
          record.headings.each do |heading|
            gone, stay = heading.parts.partition do |part|
              text(part) != heading.label && Text::Tokens.line(text(part)) == plain
            end
            back += gone
            headings << (gone.empty? ? heading : together(heading.label, stay)) if stay.any?
          end
          keywords, others = back.partition { |part| part.is_a?(String) }
          record.with(headings: headings + others, keywords: record.keywords + keywords)
        end

        # One heading of all that is filed under a label. parts :: see Records::Indexing
        def together(label, parts)
          first = parts.find { |part| part.is_a?(Records::Indexing) }
          first ||= Records::Indexing.new(label:)
          return first if parts.all? { |part| text(part) == label }

          first.with(label:, stands_for: parts)
        end

        private

        def text(part) = part.is_a?(String) ? part : part.label
      end

      private

      def matching(name) = (@matches[Text::Tokens.line(name)] unless @matches.empty?)

      # A heading as the thesaurus has it.
      def preferred(part)
        heading = @thesaurus.heading(part.label) || @thesaurus.named(part.label)
        @strange[part.label] += 1 unless heading || matching(part.label)
        heading.nil? || heading.label == part.label ? part : part.with(label: heading.label)
      end

      # What a part is filed under.
      def label(part)
        return matching(part) if part.is_a?(String)

        (@thesaurus.heading(part.label) && part.label) || matching(part.label) || part.label
      end

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
end

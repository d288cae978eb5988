# frozen_string_literal: true

module Hobrin
  class Brief
    # What a search log says for each item of PRISMA-S, the reporting guideline for literature
    # searches: Rethlefsen et al., Syst Rev 2021;10:39 (numbers and names of the items from memory).
    # A log of one source fills what one source can; of the others it says that they were not done
    # here, so that nobody takes silence for a yes.
    class SearchReport
      # number, name :: of the item; filled :: whether the search itself fills it; text :: one
      #   sentence or more
      class Item < Value
        attributes :number, :name, :filled, :text
      end

      # library   :: { name:, papers:, version:, sample: }
      # lines     :: Array of SearchLine; cql :: the whole search
      # limits    :: Array of AppliedLimit that are on; filter :: Strategy::Filters::PublishedFilter or
      #   OwnFilter that is on, or nil
      # must_find :: papers that the search was held against; found :: of those; included :: papers
      #   added manually; rounds :: Array of Screening::CitationSearch::Round in which citations were followed;
      #   threaded :: papers added from there
      # begun, counted :: Date; runs :: Array of Date on which it was run again
      # elsewhere :: Array of Narrowing::State::ExternalSearch, of each other catalogue that was asked; given ::
      #   Hash of its name to [records of it in the library, of them the same paper from elsewhere]
      # findings  :: what the check of the search still finds; identified :: records that
      #   match all blocks, before limits; total :: papers left to screen
      # peer_reviews :: Array of Narrowing::PeerReview
      # duplicates   :: of them, records that are the same paper once more
      class Facts < Value
        attributes :library, :lines, :cql, :limits, :filter, :must_find, :found, :included, :rounds, :threaded, :begun,
                   :counted, :runs, :findings, :identified, :total, :duplicates, :elsewhere, :given, :peer_reviews
      end

      NAMES = ["Database name", "Multi-database searching", "Study registries", "Online resources and browsing",
               "Citation searching", "Contacts", "Other methods", "Full search strategies", "Limits and restrictions",
               "Search filters", "Prior work", "Updates", "Dates of searches", "Peer review", "Total records",
               "Deduplication"].freeze
      # The items that are done outside one source, each with what is not known of it here.
      ELSEWHERE = { 3 => "No study registry was searched here.", 4 => "No site was browsed here.",
                    6 => "Nobody was written to from here.",
                    11 => "No earlier search was taken over here." }.freeze
      private_constant :ELSEWHERE

      def initialize(facts)
        @facts = facts
      end

      # Gives an Array of the sixteen Items, in order.
      def call
        NAMES.each.with_index(1).map do |name, number|
          text = ELSEWHERE[number] || said(number)
          Item.new(number:, name:, filled: !ELSEWHERE.key?(number), text:)
        end
      end

      private

      attr_reader :facts

      def said(number)
        case number
        when 1 then library
        when 2 then several
        when 5 then citations
        when 7 then other_methods
        when 8 then strategies
        when 9 then limits
        when 10 then filter
        else process(number)
        end
      end

      def process(number)
        case number
        when 12 then updates
        when 13 then dates
        when 14 then peer_review
        when 15 then totals
        when 16 then deduplication
        end
      end

      def library
        facts.library => { name:, papers:, version:, sample: }
        here = "#{name}: #{papers} papers, version #{version}#{", made-up sample data" if sample}."
        [here, *facts.elsewhere.map { |search| "#{search.source}, #{search.address}, by #{search.protocol}." }].join(" ")
      end

      def several
        return "One source was searched." if facts.elsewhere.empty?

        "#{facts.elsewhere.size + 1} sources were searched, each by a strategy of its own: " \
          "the library of this Hobrin, #{facts.elsewhere.map(&:source).join(", ")}."
      end

      def strategies
        here = "#{facts.lines.size} lines, each with its count, and the whole as CQL: #{facts.cql}"
        [here, *facts.elsewhere.map { |search| "#{search.source} was asked: #{search.query}" }].join(". ")
      end

      def dates
        here = "Begun #{facts.begun.iso8601}, counted #{facts.counted.iso8601}."
        [here, *facts.elsewhere.map { |search| "#{search.source}: #{search.on}." }].join(" ")
      end

      def totals
        others = facts.elsewhere.map do |search|
          given, doubles = facts.given.fetch(search.source)
          "#{search.source}: #{search.count} found there, #{given} brought in, " \
            "#{doubles} of them the same paper from elsewhere."
        end
        citations = facts.rounds.flat_map(&:found_ids).uniq.size
        cited = "#{citations} records identified by citation searching." if citations.positive?
        ["#{facts.identified} records identified by the search.", *cited, *others,
         "#{facts.total} left after limits#{" and what was added manually" if (facts.included + facts.threaded).positive?}."].join(" ")
      end

      def deduplication
        "By DOI, or by title, year, first author and first page: " \
          "#{facts.duplicates} of the #{facts.total} are the same paper once more."
      end

      def citations
        return "Citations were not followed." if facts.rounds.empty?

        followed, found = [facts.rounds.flat_map(&:from_ids),
                           facts.rounds.flat_map(&:found_ids)].map(&:size)
        "Citations of #{followed} papers were followed both ways, in rounds: #{facts.rounds.size}. " \
          "#{found} papers were found, #{facts.threaded} added."
      end

      def other_methods
        known = "#{facts.found} of #{facts.must_find} papers known beforehand are found"
        by_hand = "#{facts.included} added manually, which a search alone does not find"
        ["#{facts.must_find.zero? ? "No known papers were named" : known};",
         "#{facts.included.zero? ? "none added manually" : by_hand}."].join(" ")
      end

      def limits
        return "No limit." if facts.limits.empty?

        said = facts.limits.map { |limit| Narrowing::AppliedLimit::Wording.named(limit.leaf) }
        "In this order: #{said.join("; ")}."
      end

      def filter
        case facts.filter
        when nil then "No study filter."
        when Strategy::Filters::OwnFilter then "“#{facts.filter.title}”, one of our own: #{Strategy::Cql.write(facts.filter.tree)}"
        else published(facts.filter)
        end
      end

      def published(one)
        [Narrowing::AppliedLimit::Wording.of(one.filter), one.source, *figures(one), one.note.delete_suffix("."),
         Strategy::Cql.write(one.tree)].reject(&:empty?).join(". ")
      end

      # Published figures are of the published terms alone.
      def figures(one)
        unless one.as_published?
          return ["Its terms were changed here (#{one.changed.delete_suffix(".")}), so the published sensitivity and specificity " \
                  "do not apply"]
        end

        { "sensitivity" => one.sensitivity, "specificity" => one.specificity }.compact
                                                                               .map { |name, percent| "#{name} #{percent} % as published" }
      end

      def updates
        facts.runs.empty? ? "Not run again yet." : "Run again on #{facts.runs.map(&:iso8601).join(", ")}."
      end

      def peer_review
        check = facts.findings.zero? ? "finds nothing to mend" : "still finds #{facts.findings} to look at"
        reviews = facts.peer_reviews.map { |review| reviewed(review) }
        ["Checked against the elements of the PRESS guideline (2015) by Hobrin, which #{check}.",
         *(reviews.empty? ? "No colleague has reviewed it here." : reviews)].join(" ")
      end

      def reviewed(review)
        remarks = review.remarks.map { |key, text| "#{Narrowing::PeerReview::ELEMENTS.fetch(key)}: #{text.delete_suffix(".")}." }
        "Reviewed by #{review.name} on #{review.on.iso8601}, at line #{review.line} of the trail: " \
          "#{[review.verdict_words, *remarks].join(". ").sub(/(?<!\.)\z/, ".")}"
      end
    end
  end
end

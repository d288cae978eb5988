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

      # The sixteen items, in the order of PRISMA-S (2021).
      ITEMS = %i[databases multi_database registries browsing citations contacts others strategies limits filters prior_work updates
                 dates peer_review totals deduplication].freeze
      # What is not done from here.
      NOT_DONE = %i[registries browsing contacts prior_work].freeze
      private_constant :NOT_DONE

      def initialize(facts)
        @facts = facts
      end

      # Gives an Array of the sixteen Items, in order.
      def call
        ITEMS.each.with_index(1).map do |key, number|
          done = !NOT_DONE.include?(key)
          Item.new(number:, name: text("item.#{key}"), filled: done, text: done ? said(key) : text("not_done.#{key}"))
        end
      end

      private

      attr_reader :facts

      def text(key, **gaps) = Book.t("brief.search_report.#{key}", **gaps)

      def said(key)
        case key
        when :databases then library
        when :multi_database then several
        when :citations then citations
        when :others then other_methods
        when :strategies then strategies
        when :limits then limits
        when :filters then filter
        else process(key)
        end
      end

      def process(key)
        case key
        when :updates then updates
        when :dates then dates
        when :peer_review then peer_review
        when :totals then totals
        when :deduplication then deduplication
        end
      end

      def library
        facts.library => { name:, papers:, version:, sample: }
        here = text(sample ? "sample_library" : "library", name:, count: papers, version:)
        others = facts.elsewhere.map { |search| text("source", name: search.source, address: search.address, protocol: search.protocol) }
        [here, *others].join(" ")
      end

      def several
        return text("one_source") if facts.elsewhere.empty?

        text("sources", count: facts.elsewhere.size + 1, names: facts.elsewhere.map(&:source).join(", "))
      end

      def strategies
        here = text("lines", count: facts.lines.size, cql: facts.cql)
        [here, *facts.elsewhere.map { |search| text("query", name: search.source, query: search.query) }].join(". ")
      end

      def dates
        here = text("dates", begun: facts.begun.iso8601, counted: facts.counted.iso8601)
        [here, *facts.elsewhere.map { |search| text("date_of", name: search.source, day: search.on) }].join(" ")
      end

      def totals
        others = facts.elsewhere.map do |search|
          given, doubles = facts.given.fetch(search.source)
          text("source_total", name: search.source, found: search.count, imported: given, duplicates: doubles)
        end
        citations = facts.rounds.flat_map(&:found_ids).uniq.size
        cited = text("cited", count: citations) if citations.positive?
        added = (facts.included + facts.threaded).positive?
        [text("identified", count: facts.identified), *cited, *others,
         text(added ? "left_and_added" : "left", count: facts.total)].join(" ")
      end

      def deduplication
        text("deduplication", duplicates: facts.duplicates, all: facts.total)
      end

      def citations
        return text("no_citations") if facts.rounds.empty?

        followed, found = [facts.rounds.flat_map(&:from_ids),
                           facts.rounds.flat_map(&:found_ids)].map(&:size)
        text("citations", papers: followed, rounds: facts.rounds.size, found:, added: facts.threaded)
      end

      def other_methods
        known = facts.must_find.zero? ? text("no_must_find") : text("must_find", found: facts.found, all: facts.must_find)
        added = facts.included.zero? ? text("none_added") : text("added", papers: facts.included)
        [known, added].join(" ")
      end

      def limits
        return text("no_limit") if facts.limits.empty?

        said = facts.limits.map { |limit| Narrowing::AppliedLimit::Wording.named(limit.leaf) }
        text("limits", limits: said.join("; "))
      end

      def filter
        case facts.filter
        when nil then text("no_filter")
        when Strategy::Filters::OwnFilter then text("own_filter", name: facts.filter.title, cql: Strategy::Cql.write(facts.filter.tree))
        else published(facts.filter)
        end
      end

      def published(one)
        [Narrowing::AppliedLimit::Wording.of(one.filter), one.source, *figures(one), one.note.delete_suffix("."),
         Strategy::Cql.write(one.tree)].reject(&:empty?).join(". ")
      end

      # Published figures are of the published terms alone.
      def figures(one)
        return [text("filter_changed", change: one.changed.delete_suffix("."))] unless one.as_published?

        { sensitivity: one.sensitivity, specificity: one.specificity }.compact.map { |key, percent| text(key, percent:) }
      end

      def updates
        facts.runs.empty? ? text("not_rerun") : text("rerun", days: facts.runs.map(&:iso8601).join(", "))
      end

      def peer_review
        check = facts.findings.zero? ? text("checked") : text("checked_with_warnings", count: facts.findings)
        reviews = facts.peer_reviews.map { |review| reviewed(review) }
        [check, *(reviews.empty? ? text("not_reviewed") : reviews)].join(" ")
      end

      def reviewed(review)
        remarks = review.remarks.map { |key, text| "#{Narrowing::PeerReview::ELEMENTS.fetch(key)}: #{text.delete_suffix(".")}." }
        said = [review.verdict_words, *remarks].join(". ").sub(/(?<!\.)\z/, ".")
        text("reviewed", name: review.name, day: review.on.iso8601, line: review.line, said:)
      end
    end
  end
end

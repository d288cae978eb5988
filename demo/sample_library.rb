# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    # The made-up papers: those around the main inquiry, written by hand, and those around them,
    # made from topics.yml. The same seed gives the same library, to the letter.
    class SampleLibrary
      SIZE = 12_000
      SEED = 4646
      # Of the generated papers, how many were retracted, and how many are in the library twice,
      # from two sources.
      RETRACTED = 14
      TWICE = 16
      AGAIN = "trial-2019-mask"
      FOLDER = __dir__
      # What a handwritten paper says as it is to be.
      AS_WRITTEN = %w[key title types published keywords added language country journal].freeze
      private_constant :FOLDER, :AS_WRITTEN

      # size :: how many papers in all; more than SIZE grows the topics by their shares
      def initialize(size: SIZE, seed: SEED,
                     thesaurus: Thesaurus.new(SampleThesaurus.headings, checked: true))
        @size = size
        @seed = seed
        @thesaurus = thesaurus
        @printing = Printing.new(load("names"))
        @data = load("topics")
        @names = OtherNames.new
        @written = load("papers")
        @topics = share_out
      end

      # Gives an Array of Records::Record, the handwritten ones first.
      def records = each.to_a

      # Yields each record in turn, so that a library may be larger than memory. Without a block, an
      # Enumerator.
      def each(&block)
        return enum_for(:each) unless block

        known = handwritten
        known.each(&block)
        titles = Titles.new
        place = 0
        topics.each do |topic, papers|
          made = Array.new(papers) { generated(topic, place += 1) }
          Citing.new(Random.new(@seed + place),
                     known:).call(made).each_with_index do |record, number|
            block.call(titles.apart(record, place + number))
          end
        end
        [*twice(place), again(known)].each(&block)
      end

      # Hash of topic (as in topics.yml) to how many papers it gets, in the order of the papers:
      # those with a number that many, the others the rest by their share.
      attr_reader :topics

      private

      def share_out
        fixed, shared = @data["topics"].partition { |topic| topic["papers"] }
        left = @size - @written.size - TWICE - fixed.sum { |topic| topic["papers"] }
        shares = shared.map { |topic| topic["share"] }
        ends = shares.reduce([0]) { |sums, share| [*sums, sums.last + share] }
        counts = ends.map { |sum| sum * [left, 0].max / shares.sum }.each_cons(2).map { |from, to| to - from }
        fixed.to_h { |topic| [topic, topic["papers"]] }.merge(shared.zip(counts).to_h)
      end

      def load(name) = YAML.safe_load_file(File.join(FOLDER, "#{name}.yml"))

      def handwritten
        cites = load("citations")
        @written.each_with_index.map do |row, place|
          headings = row.fetch("headings", []).map do |label|
            Records::Indexing.new(label: label.delete_prefix("*"), main: label.start_with?("*"))
          end
          @printing.record(random: Random.new((@seed * 7) + place), headings:, abstract: row["text"],
                           sex: headings.empty? ? [] : %w[female male], species: row.fetch("species", ["humans"]),
                           stated: row.fetch("flags", []), ages: row.fetch("ages", []),
                           cites: cites.fetch(row["key"], []).map { |key| "10.5555/hobrin.#{key}" },
                           **row.slice(*AS_WRITTEN).transform_keys(&:to_sym))
        end
      end

      # Each record has chance of its own, so that a change to one leaves the others as they are.
      def generated(topic, place)
        random = Random.new((@seed * 1_000_003) + place)
        parts = %w[people interventions outcomes].to_h do |part|
          [part.delete_suffix("s").to_sym, pick(topic[part], random)]
        end
        printed = @printing.place(random)
        study = Study.new(parts, things: @data, names: @names, country: printed[:country], thesaurus: @thesaurus,
                                 designs: topic["designs"], random:)
        record = @printing.record(random:, key: format("%05d", place), **printed, **study.call)
        retracted?(place) ? retract(record) : record
      end

      def retracted?(place) = place % (SIZE / RETRACTED) == 611

      def retract(record)
        record.with(title: "Retracted: #{record.title}", flags: [*record.flags, "retracted"])
      end

      # The same papers again, as another source has them: another id, no headings, the title in
      # another spelling.
      def twice(places)
        Array.new(TWICE - 1) do |number|
          place = 1 + (number * places / TWICE)
          from_elsewhere(generated(topic_of(place), place), place)
        end
      end

      # One of those written by hand.
      def again(known)
        from_elsewhere(known.find { |record| record.id.end_with?(".#{AGAIN}") }, AGAIN)
      end

      def from_elsewhere(record, key)
        record.with(id: "other-source:#{key}", headings: [], title: record.title.upcase, ages: [],
                    types: [])
      end

      def topic_of(place)
        topics.each { |topic, papers| return topic if (place -= papers) <= 0 }
      end

      def pick(list, random) = list[random.rand(list.size)]
    end
  end
end

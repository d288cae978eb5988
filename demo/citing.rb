# frozen_string_literal: true

module Hobrin
  module Demo
    # Lets the papers of one topic cite earlier ones of it; reviews cite more. A few studies are
    # reported twice, the second time under another title, and the second report cites the first.
    # Papers about the main inquiry cite those around it that were written by hand.
    class Citing
      MOST = 6
      MOST_OF_REVIEWS = 18
      AGAIN = 0.01
      MAIN = /ear ?plug|eye mask/i
      MOST_KNOWN = 4
      private_constant :MOST, :MOST_OF_REVIEWS, :AGAIN, :MAIN, :MOST_KNOWN

      # known :: Array of Record around the main inquiry
      def initialize(random, known: [])
        @random = random
        @known = known
      end

      # records :: Array of Record of one topic. Gives them in the same order, with what they cite.
      def call(records)
        by_date = records.sort_by { |record| [record.published, record.id] }
        cited = by_date.each_with_index.to_h do |record, place|
          [record.id, cites(record, by_date.first(place)) + known_to(record)]
        end
        records.map { |record| again(record.with(cites: cited.fetch(record.id)), records) }
      end

      private

      def cites(record, earlier)
        most = record.types.include?("systematic review") ? MOST_OF_REVIEWS : MOST
        earlier.sample(@random.rand(0..most), random: @random).map(&:id)
      end

      # By chance of its own, so that what else is cited stays as it is.
      def known_to(record)
        return [] unless record.title.match?(MAIN)

        random = Random.new(record.id.sum)
        earlier = @known.select { |other| other.published < record.published }
        earlier.sample(random.rand(0..MOST_KNOWN), random:).map(&:id)
      end

      # Now and then a trial tells once more what an earlier one found.
      def again(record, records)
        return record unless record.types.include?("randomized controlled trial") && record.headings.any? && @random.rand < AGAIN

        first = records.find do |other|
          other.types == record.types && other.published < record.published && other.abstract && other.headings.any?
        end
        return record unless first

        title = first.title.sub(/: .*/, ": further results of a trial")
        record.with(title:, authors: first.authors, headings: first.headings, cites: [first.id, *record.cites].uniq,
                    abstract: "#{first.abstract} These results were reported in part before.")
      end
    end
  end
end

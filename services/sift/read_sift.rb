# frozen_string_literal: true

module Hobrin
  module Services
    # What the Sift step shows: the papers left to read, and the one that is open.
    class ReadSift
      # records :: the newest papers of the set, at most MOST; total :: how many there are
      # open :: the Record being read, or nil; matched :: Retrieval::MatchedPlaces
      class ReadingList < Value
        attributes :records, :total, :open, :matched

        # The Record before or after the open one, or nil.
        def beside(step)
          place = records.index { |record| record.id == open&.id }
          records[place + step] if place && (place + step) >= 0
        end
      end

      MOST = 300

      def initialize(context)
        @context = context
      end

      # opened :: OpenInquiry; record_id :: the paper to open, or nil for the first unread one
      # Raises GoneError for an unknown paper.
      def call(opened, record_id: nil)
        records = @context.library.newest(opened.cascade.final, limit: MOST)
        open = record_id ? find(records, record_id) : first_unread(records, opened.inquiry)
        ReadingList.new(records:, total: opened.final, open:, matched: matched(opened.inquiry))
      end

      # The id of the first unread paper after one that was just decided; that one again when all
      # are read.
      def following(opened, record_id)
        ids = @context.library.ids(opened.cascade.final, limit: MOST)
        place = ids.index(record_id) || -1
        order = ids.rotate(place + 1) - [record_id]
        order.find { |other| opened.inquiry.decision(other).nil? } || record_id
      end

      private

      def find(records, record_id)
        found = records.find do |record|
          record.id == record_id
        end || @context.library.record(record_id)
        found or raise GoneError, "paper"
      end

      def first_unread(records, inquiry)
        records.find { |record| inquiry.decision(record.id).nil? } || records.first
      end

      def matched(inquiry)
        Retrieval::MatchedPlaces.new(inquiry.searched_blocks.to_h do |block|
          [block.key, block.in_use.map(&:leaf)]
        end)
      end
    end
  end
end

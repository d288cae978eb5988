# frozen_string_literal: true

module Hobrin
  module Services
    # What the Sift step shows: the papers left to read, and the one that is open.
    class ReadSift
      # records :: the newest papers of the set, at most MOST; total :: how many there are
      # open :: the Record being read, or nil; matched :: Retrieval::MatchedPlaces
      Desk = Struct.new(:records, :total, :open, :matched, keyword_init: true) do
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

      # standing :: ReadInquiry::Standing; record_id :: the paper to open, or nil for the first unread one
      # Raises GoneError for an unknown paper.
      def call(standing, record_id: nil)
        records = @context.library.newest(standing.cascade.final, limit: MOST)
        open = record_id ? find(records, record_id) : first_unread(records, standing.inquiry)
        Desk.new(records:, total: standing.final, open:, matched: matched(standing.inquiry))
      end

      # The id of the first unread paper after one that was just decided; that one again when all are read.
      # id :: of the inquiry
      def following(id, record_id)
        standing = ReadInquiry.new(@context).call(id)
        ids = @context.library.ids(standing.cascade.final, limit: MOST)
        place = ids.index(record_id) || -1
        order = ids.rotate(place + 1) - [record_id]
        order.find { |other| standing.inquiry.decision(other).nil? } || record_id
      end

      private

      def find(records, record_id)
        found = records.find { |record| record.id == record_id } || @context.library.record(record_id)
        found or raise GoneError, "paper"
      end

      def first_unread(records, inquiry)
        records.find { |record| inquiry.decision(record.id).nil? } || records.first
      end

      def matched(inquiry)
        Retrieval::MatchedPlaces.new(inquiry.searched_blocks.to_h do |block|
          [block.key, block.in_use.reject(&:heading?).map(&:leaf)]
        end)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    # What each of two people decided on papers that are read twice, as Screening::Decision.
    class Readings < Apart
      def initialize(db)
        super(db, table: :readings, pair: %i[first_reader_id second_reader_id])
      end

      # at :: ISO 8601. Gives whether it was written: not where both have decided.
      def put(id, person_id, decision, at:)
        write(id, decision.record_id, person_id, verdict: decision.verdict.to_s, reason: decision.reason,
                                                 note: decision.note, at:)
      end

      # Takes a decision back; not one that the other has answered. Gives whether it was.
      def take_back(id, person_id, record_id)
        writing do
          next false if both?(id, record_id, person_id)

          rows(id).where(record_id:, person_id:).delete == 1
        end
      end

      private

      def held(row)
        Screening::Decision.new(record_id: row[:record_id], verdict: row[:verdict].to_sym, reason: row[:reason],
                                note: row[:note])
      end
    end
  end
end

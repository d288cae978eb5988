# frozen_string_literal: true

module Hobrin
  module Store
    # What each of two people decided on papers that are read twice.
    class Readings
      def initialize(db)
        @db = db
      end

      # The ids of the two readers of an inquiry, or nil.
      def readers(id)
        pair = @db[:inquiries].where(id:).get(%i[first_reader_id second_reader_id])
        pair if pair&.all?
      end

      # pair :: two ids of persons, or nil for none any more
      def let_read(id, pair)
        first_reader_id, second_reader_id = pair
        writing { @db[:inquiries].where(id:).update(first_reader_id:, second_reader_id:) }
      end

      # What one person decided: Array of Sifting::Decision.
      def of(id, person_id)
        @db[:readings].where(inquiry_id: id, person_id:).order(:at).map { |row| decision(row) }
      end

      # How many papers each person has read: Hash of person id to number.
      def counts(id)
        @db[:readings].where(inquiry_id: id).group_and_count(:person_id).as_hash(:person_id, :count)
      end

      # The papers that both have read: Array of [decision of the first, of the second].
      def both(id, pair)
        rows = @db[:readings].where(inquiry_id: id, person_id: pair).order(:record_id).all.group_by do |row|
          row[:record_id]
        end
        rows.values.select { |two| two.size == 2 }.map do |two|
          two.sort_by { |row| pair.index(row[:person_id]) }.map { |row| decision(row) }
        end
      end

      # Writes a decision, unless the other has read the paper meanwhile and one's own stands
      # already:
      # then nothing changes. Gives whether it was written. at :: ISO 8601
      def put(id, person_id, decision, at:)
        values = { verdict: decision.verdict.to_s, reason: decision.reason, note: decision.note, at: }
        key = { inquiry_id: id, record_id: decision.record_id, person_id: }
        writing do
          next false if both_read?(id, decision.record_id, person_id)

          @db[:readings].insert_conflict(target: key.keys, update: values).insert(**key, **values)
          true
        end
      end

      # Takes a decision back; not one that the other has answered. Gives whether it was.
      def take_back(id, person_id, record_id)
        writing do
          next false if both_read?(id, record_id, person_id)

          @db[:readings].where(inquiry_id: id, record_id:, person_id:).delete == 1
        end
      end

      private

      def both_read?(id, record_id, person_id)
        there = @db[:readings].where(inquiry_id: id, record_id:).select_map(:person_id)
        there.include?(person_id) && there.size > 1
      end

      def decision(row)
        Sifting::Decision.new(record_id: row[:record_id], verdict: row[:verdict].to_sym, reason: row[:reason],
                              note: row[:note])
      end

      def writing(&) = Trouble.writing(@db, &)
    end
  end
end

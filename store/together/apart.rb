# frozen_string_literal: true

module Hobrin
  module Store
    # What each of two people made of the same papers, in a table that is read for its own person
    # only. A subclass gives its table and the columns that name the two, and turns a row into what
    # it holds.
    class Apart
      # pair :: the columns of inquiries that hold the ids of the two
      def initialize(db, table:, pair:)
        @db = db
        @table = table
        @pair = pair
      end

      # The ids of the two for an inquiry, or nil.
      def readers(id)
        pair = @db[:inquiries].where(id:).get(@pair)
        pair if pair&.all?
      end

      # pair :: two ids of persons, or nil for none any more
      def let_read(id, pair)
        writing { @db[:inquiries].where(id:).update(@pair.zip(pair || [nil, nil]).to_h) }
      end

      # What one person made: Array of what `held` gives.
      def of(id, person_id)
        rows(id).where(person_id:).order(:at).map { |row| held(row) }
      end

      # How many papers each person is done with: Hash of person id to number.
      def counts(id) = finished(id).group_and_count(:person_id).as_hash(:person_id, :count)

      # The papers that both are done with: Array of [that of the first, that of the second].
      def both(id, pair)
        rows = finished(id).where(person_id: pair).order(:record_id).all
        rows.group_by { |row| row[:record_id] }.values.select { |two| two.size == 2 }.map do |two|
          two.sort_by { |row| pair.index(row[:person_id]) }.map { |row| held(row) }
        end
      end

      private

      # What a row holds.
      def held(_row) = raise(NotImplementedError)

      # The rows of those who are done with a paper.
      def finished(id) = rows(id)

      def rows(id) = @db[@table].where(inquiry_id: id)

      # Writes what one person made of a paper, unless both are done with it: then nothing changes.
      # Gives whether it was written.
      def write(id, record_id, person_id, **values)
        key = { inquiry_id: id, record_id:, person_id: }
        writing do
          next false if both?(id, record_id, person_id)

          @db[@table].insert_conflict(target: key.keys, update: values).insert(**key, **values)
          true
        end
      end

      # Whether a person and another one are both done with a paper.
      def both?(id, record_id, person_id)
        there = finished(id).where(record_id:).select_map(:person_id)
        there.include?(person_id) && there.size > 1
      end

      def writing(&) = Trouble.writing(@db, &)
    end
  end
end

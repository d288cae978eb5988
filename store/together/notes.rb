# frozen_string_literal: true

module Hobrin
  module Store
    # What people write to each other about an inquiry, a paper, a term or a limit.
    class Notes
      # answers :: id of the note that it answers, nil for one that begins; kind, key, name :: what it is
      #   about; settled_at, settled_by :: nil while it is open
      class Note < Value
        attributes :id, :answers, :kind, :key, :name, :person_id, :who, :text, :at, :settled_at, :settled_by
      end

      def initialize(db)
        @db = db
      end

      # Array of Note of an inquiry, in the order in which they were written.
      def of(id) = @db[:notes].where(inquiry_id: id).order(:id).map { |row| note(row) }

      # Raises GoneError.
      def find(id, note_id)
        row = @db[:notes].first(inquiry_id: id, id: note_id) or raise GoneError, "note"
        note(row)
      end

      # The rest :: of a Note. Gives its id.
      def add(id, **rest) = writing { @db[:notes].insert(inquiry_id: id, **rest) }

      # Settles one that begins, or opens it again (at nil).
      def settle(id, note_id, at:, by:)
        writing { @db[:notes].where(inquiry_id: id, id: note_id).update(settled_at: at, settled_by: by) }
      end

      # Writes down that somebody looks at a step of an inquiry, unless that was done since a time.
      def here(id, person_id, step:, at:, since:)
        Trouble.told do
          next if @db[:here].where(inquiry_id: id, person_id:, step:).where(Sequel[:at] >= since).any?

          @db[:here].insert_conflict(target: %i[inquiry_id person_id], update: { step:, at: })
                    .insert(inquiry_id: id, person_id:, step:, at:)
        end
      end

      # Who looked since a time (ISO 8601): Hash of person id to the step.
      def who_is_here(id, since:)
        @db[:here].where(inquiry_id: id).where(Sequel[:at] >= since).select_hash(:person_id, :step)
      end

      private

      def note(row) = Note.new(**row.except(:inquiry_id))
      def writing(&) = Trouble.writing(@db, &)
    end
  end
end

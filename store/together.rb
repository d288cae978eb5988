# frozen_string_literal: true

require "json"

module Hobrin
  module Store
    # Whose inquiries are, and what people do on them together, in the database of the inquiries.
    class Together
      attr_reader :standings, :readings, :sheets, :notes

      def initialize(db)
        @standings = Standings.new(db)
        @readings = Readings.new(db)
        @sheets = Sheets.new(db)
        @notes = Notes.new(db)
      end

      # What each of two people made of the same papers, in a table that is read for its own person
      # only. A subclass gives its table and the columns that name the two, and turns a row into what
      # it holds.
      class Independent < Base
        # pair :: the columns of inquiries that hold the ids of the two
        def initialize(db, table:, pair:)
          super(db)
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
      end

      # What each of two people decided on papers that are read twice, as Screening::Decision.
      class Readings < Independent
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

      # The sheet of each of two people for papers that are weighed twice, as Appraisal::Paper without
      # what it gives for outcomes.
      class Sheets < Independent
        def initialize(db)
          super(db, table: :sheets, pair: %i[first_weigher_id second_weigher_id])
        end

        # done :: whether the person is done with the paper; at :: ISO 8601. Gives whether it was
        # written: not where both are done.
        def put(id, person_id, paper, done:, at:)
          sheet = JSON.generate(InquiryDocument::Appraisals.paper_data(paper.with(reported: [])))
          write(id, paper.record_id, person_id, sheet:, done:, at:)
        end

        # The ids of the papers that a person is done with.
        def done(id, person_id) = finished(id).where(person_id:).select_map(:record_id)

        private

        def finished(id) = rows(id).where(done: true)
        def held(row) = InquiryDocument::Appraisals.paper(JSON.parse(row[:sheet], symbolize_names: true))
      end

      # What people write to each other about an inquiry, a paper, a term or a limit.
      class Notes < Base
        # answers :: id of the note that it answers, nil for one that begins; kind, key, name :: what it is
        #   about; settled_at, settled_by :: nil while it is open
        class Note < Value
          attributes :id, :answers, :kind, :key, :name, :person_id, :who, :text, :at, :settled_at, :settled_by
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
          Database::Trouble.told do
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
      end

      # Whose each inquiry is, and what others were given to do with it.
      class Standings < Base
        # A People::Standing. Raises GoneError for an inquiry that is not there; one that was taken
        # away is there still.
        def of(id)
          row = @db[:inquiries].where(id:).select(:ward_id, :owner_id).first or raise GoneError, "inquiry"
          standing(row, given.where(inquiry_id: id).select_map(%i[person_id ability]))
        end

        # Hash of each of these inquiries' ids to its Standing.
        def some(ids)
          abilities = given.where(inquiry_id: ids).select_map(%i[inquiry_id person_id ability]).group_by(&:first)
          @db[:inquiries].where(id: ids).select(:id, :ward_id, :owner_id).to_h do |row|
            [row[:id], standing(row, abilities.fetch(row[:id], []).map { |_, *pair| pair })]
          end
        end

        # Puts an inquiry on a ward, or gives it to another owner.
        def put(id, ward_id:, owner_id:)
          writing { @db[:inquiries].where(id:).update(ward_id:, owner_id:) }
        end

        # The ids of those that were made while nobody signed in and are there still.
        def unowned = @db[:inquiries].where(owner_id: nil, ward_id: nil, deleted_at: nil).select_map(:id)

        # Every inquiry that was made while nobody signed in: those that passed to their ward stay with it.
        # Gives how many.
        def put_unowned(ward_id:, owner_id:)
          writing { @db[:inquiries].where(owner_id: nil, ward_id: nil).update(ward_id:, owner_id:) }
        end

        # Inquiries of a person pass to their ward. ward_id :: of one ward, nil for all. Gives how many.
        def release(owner_id, ward_id: nil)
          owned = @db[:inquiries].where(owner_id:).exclude(ward_id: nil)
          owned = owned.where(ward_id:) if ward_id
          writing { owned.update(owner_id: nil) }
        end

        # How many inquiries of each ward have no owner: Hash of ward id to number.
        def without_owner
          @db[:inquiries].where(owner_id: nil, deleted_at: nil).exclude(ward_id: nil).group_and_count(:ward_id)
                         .as_hash(:ward_id, :count)
        end

        # Gives those of a ward that have no owner to somebody. Gives how many.
        def give_unowned(ward_id, owner_id)
          writing { @db[:inquiries].where(owner_id: nil, ward_id:).update(owner_id:) }
        end

        # ability :: of People::Standing::GIVEN, or nil to take it back
        def give(id, person_id, ability)
          writing do
            given.where(inquiry_id: id, person_id:).delete
            given.insert(inquiry_id: id, person_id:, ability: ability.to_s) if ability
          end
        end

        private

        def given = @db[:inquiry_people]

        def standing(row, pairs)
          People::Standing.new(ward_id: row[:ward_id], owner_id: row[:owner_id],
                               given: pairs.to_h { |person_id, ability| [person_id, ability.to_sym] })
        end
      end
    end
  end
end

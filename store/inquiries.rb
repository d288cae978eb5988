# frozen_string_literal: true

module Hobrin
  module Store
    # Inquiries and their trails.
    class Inquiries < Base
      # An inquiry as stored.
      #
      # version :: goes up by one with each change, and so is the number of the last line of the trail
      # step    :: of the last change; sample :: whether it is sample data;
      # created_at, touched_at :: ISO 8601
      # papers  :: left at the last change; library_version :: of the library in which they were counted
      # deleted_at, aside_at :: when it was taken away or put aside, ISO 8601, or nil
      class Saved < Value
        attributes :id, :version, :step, :sample, :created_at, :touched_at, :papers,
                   :library_version, :deleted_at, :aside_at, :inquiry
      end

      LINE = %i[number at who step kind facts count_before count_after library_version note
                brings_back].freeze
      # What Standings, Readings, TrailStates and Board read.
      ELSEWHERE = %i[ward_id owner_id first_reader_id second_reader_id first_weigher_id second_weigher_id state_line
                     outline stage look_again_on].freeze
      private_constant :LINE, :ELSEWHERE

      # Raises UnavailableError, from whatever writes, while nothing can be written.
      def initialize(db)
        super
        @states = TrailStates.new(db)
        @board = Board.new(db, @states).tap(&:complete)
      end

      # The same as a board lists them.
      attr_reader :board

      # Every inquiry that was not taken away, last touched first.
      def all
        all_saved(@db[:inquiries].where(deleted_at: nil).order(Sequel.desc(:touched_at), :id).all)
      end

      # Those taken away since a time (ISO 8601), last first.
      def deleted(since:)
        all_saved(@db[:inquiries].where(Sequel[:deleted_at] >= since).order(Sequel.desc(:deleted_at), :id).all)
      end

      # Raises GoneError for an id that is not there, or taken away.
      def find(id)
        row = @db[:inquiries].first(id:, deleted_at: nil) or raise GoneError, "inquiry"
        saved(row, @states.inquiry(row))
      end

      # line :: facts of the trail's first line: who, kind, facts, count_before, count_after, library_version.
      # whose :: ward_id and owner_id, where people sign in. Gives the id.
      def create(inquiry, step:, at:, line:, sample: false, **whose)
        kept = @states.of_line(nil, 1, inquiry)
        writing do
          id = @db[:inquiries].insert(sample:, created_at: at, **whose, **standing(1, step, at, line, kept, inquiry))
          add_line(id, 1, step, at, line, kept)
          id
        end
      end

      # Writes a changed inquiry and its line of the trail, unless another change came first: then
      # it writes nothing and gives nil. Whatever is worked out is worked out before, so that other
      # writers wait only for two statements.
      #
      # before :: the Saved that was changed; line :: as in `create`, with brings_back. Gives the
      #   Saved as it is then.
      def save(before, inquiry, step:, at:, line:)
        number = before.version + 1
        still = @db[:inquiries].where(id: before.id, version: before.version, deleted_at: nil)
        row = still.select(:id, :state, :state_line).first or return false
        kept = @states.of_line(row, number, inquiry)
        standing = standing(number, step, at, line, kept, inquiry)
        written = writing do
          next false if still.update(standing).zero?

          add_line(before.id, number, step, at, line, kept)
        end
        written && before.with(version: number, step:, touched_at: at, inquiry:, papers: line[:count_after],
                               library_version: line[:library_version])
      end

      # Takes an inquiry away; it can be brought back until it is forgotten. at :: ISO 8601. Raises
      # GoneError for an id that is not there.
      def delete(id, at:) = mark(id, { deleted_at: nil }, deleted_at: at)

      # since :: see `deleted`. Raises GoneError for one that was not taken away since.
      def bring_back(id, since:) = mark(id, Sequel.lit("deleted_at >= ?", since), deleted_at: nil)

      # Puts an inquiry aside (at :: ISO 8601) or takes it up again (nil). Raises GoneError.
      def put_aside(id, at:) = mark(id, { deleted_at: nil }, aside_at: at)

      # Forgets those that were taken away before a time (ISO 8601), or one by its id, with their
      # trails. Gives their ids.
      def forget(before: nil, id: nil)
        gone = @db[:inquiries].where(id ? { id: } : Sequel.lit("deleted_at < ?", before))
        writing { gone.select_map(:id).tap { |ids| @db[:inquiries].where(id: ids).delete } }
      end

      # Takes a text out of everything that is kept of an inquiry; see Forgetting.
      def forget_text(id, text) = Forgetting.new(@db).call(id, text)

      # Lines of the trail, the last one first.
      def trail(id) = lines(@db[:trail].where(inquiry_id: id).reverse(:number))

      # Where the trail can go back and forth.
      def history(id)
        Trail::History.new(@db[:trail].where(inquiry_id: id).select_map(%i[number brings_back]))
      end

      # When the last lines of a kind were written, in order. Array of Time.
      def times_of(id, kind, last:)
        @db[:trail].where(inquiry_id: id,
                          kind: kind.to_s).reverse(:number).limit(last).select_map(:at)
                   .reverse.map { |at| Time.iso8601(at) }
      end

      # The number of the last line of a kind, or nil.
      def last_of(id, kind) = @db[:trail].where(inquiry_id: id, kind: kind.to_s).max(:number)

      # One line of the trail. Raises GoneError.
      def line(id, number)
        lines(@db[:trail].where(inquiry_id: id, number:)).first or raise GoneError, "line"
      end

      # was :: the note in whose place it comes, as the person saw it. Gives whether it was written:
      #   not when another one stands there. Raises GoneError for a line that is not there.
      def note(id, number, note, was:)
        line = @db[:trail].where(inquiry_id: id, number:)
        return true if writing { line.where(note: was).update(note:) } == 1

        raise GoneError, "line" if line.empty?

        false
      end

      # Lines of the trail after one, in order.
      def lines_after(id, number)
        lines(@db[:trail].where(inquiry_id: id).where { self.number > number }.order(:number))
      end

      # The Inquiry as it was after one line of its trail. Raises GoneError.
      def state_at(id, number)
        @states.at(id, number)
      end

      # Writes a copy of all inquiries and trails to a file that does not exist yet. Raises
      # StateError.
      def backup(path) = Database.copy(@db, path, kind: :inquiries)

      private

      def mark(id, condition, **values)
        raise GoneError, "inquiry" if writing { @db[:inquiries].where(id:).where(condition).update(**values) }.zero?
      end

      # What the row of an inquiry has; the inquiry itself is in its trail.
      def standing(version, step, at, line, kept, inquiry)
        { version:, step: step.to_s, touched_at: at, state: "", state_line: kept[:state_line], papers: line[:count_after],
          library_version: line[:library_version], **Board.columns(inquiry) }
      end

      def add_line(id, number, step, at, line, kept)
        @db[:trail].insert(inquiry_id: id, number:, at:, step: step.to_s, **kept.slice(:state, :changes), **line,
                           kind: line[:kind].to_s, facts: ExpressionDocument::Facts.dump(line.fetch(:facts)))
      end

      def all_saved(rows)
        inquiries = @states.inquiries(rows)
        rows.map { |row| saved(row, inquiries.fetch(row[:id])) }
      end

      def saved(row, inquiry)
        Saved.new(**row.except(:state, :step, *ELSEWHERE), step: row[:step].to_sym, inquiry:)
      end

      def lines(dataset)
        dataset.select(*LINE).map do |row|
          Trail::Line.new(**row, step: row[:step].to_sym, kind: row[:kind].to_sym,
                                 facts: ExpressionDocument::Facts.load(row[:facts]))
        end
      end
    end
  end
end

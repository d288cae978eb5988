# frozen_string_literal: true

module Hobrin
  module Store
    # Inquiries and their trails.
    class Inquiries
      # An inquiry as stored: id, version, step, times (ISO 8601), whether it is sample data, and the Inquiry.
      Saved = Struct.new(:id, :version, :step, :sample, :created_at, :touched_at, :inquiry, keyword_init: true)
      # A line of the trail. state is read only when asked for, see `state_at`.
      TrailLine = Struct.new(:number, :at, :who, :step, :change, :count_before, :count_after, :library_version, :note,
                             :brings_back, keyword_init: true)

      def initialize(db)
        @db = db
      end

      def inspect = "#<#{self.class}>"

      # Every inquiry, last touched first.
      def all = @db[:inquiries].order(Sequel.desc(:touched_at), :id).map { |row| saved(row) }

      # Raises GoneError for an id that is not there.
      def find(id)
        row = @db[:inquiries].first(id:) or raise GoneError, "inquiry"
        saved(row)
      end

      # Gives the id. trail :: the facts of its first line
      def create(inquiry, step:, at:, trail:, sample: false)
        @db.transaction(mode: :immediate) do
          id = @db[:inquiries].insert(step: step.to_s, version: 1, sample:, state: InquiryDocument.dump(inquiry),
                                      created_at: at, touched_at: at)
          write_line(id, inquiry, step:, at:, **trail)
          id
        end
      end

      # Reads, changes and writes in one transaction. The block gets the Saved and gives
      # [the new Inquiry, facts of the trail line], or nil to leave all as it is. Each change is one line of the trail and
      # one version, so that the number of the last line is the version. Raises GoneError.
      def change(id, step:, at:)
        @db.transaction(mode: :immediate) do
          before = find(id)
          inquiry, trail = yield(before)
          next before unless inquiry

          @db[:inquiries].where(id:).update(version: before.version + 1, step: step.to_s, touched_at: at,
                                            state: InquiryDocument.dump(inquiry))
          write_line(id, inquiry, step:, at:, **trail)
          find(id)
        end
      end

      # Raises GoneError for an id that is not there.
      def delete(id)
        raise GoneError, "inquiry" if @db[:inquiries].where(id:).delete.zero?
      end

      # The step that an inquiry was left at.
      def visit(id, step:) = @db[:inquiries].where(id:).update(step: step.to_s)

      # Lines of the trail, the last one first.
      def trail(id)
        lines = @db[:trail].where(inquiry_id: id).reverse(:number).select(*TrailLine.members)
        lines.map { |row| TrailLine.new(**row) }
      end

      # Where the trail can go back and forth.
      def history(id) = History.new(@db[:trail].where(inquiry_id: id).select_map(%i[number brings_back]))

      # One line of the trail. Raises GoneError.
      def line(id, number)
        row = @db[:trail].where(inquiry_id: id, number:).select(*TrailLine.members).first or raise GoneError, "line"
        TrailLine.new(**row)
      end

      # Raises GoneError for a line that is not there.
      def note(id, number, note)
        raise GoneError, "line" if @db[:trail].where(inquiry_id: id, number:).update(note:).zero?
      end

      # Lines of the trail after one and before another, in order.
      def lines_between(id, after, before)
        trail(id).select { |line| line.number > after && line.number < before }.reverse
      end

      # The Inquiry as it was after one line of its trail. Raises GoneError.
      def state_at(id, number)
        state = @db[:trail].where(inquiry_id: id, number:).get(:state) or raise GoneError, "line"
        InquiryDocument.load(state)
      end

      # Writes a copy of all inquiries and trails to a file that does not exist yet. Raises StateError.
      def backup(path) = Database.copy(@db, path)

      def trail_size(id) = @db[:trail].where(inquiry_id: id).count

      private

      def saved(row)
        facts = row.slice(:id, :version, :sample, :created_at, :touched_at)
        Saved.new(**facts, step: row[:step].to_sym, inquiry: InquiryDocument.load(row[:state]))
      end

      def write_line(id, inquiry, step:, at:, **facts)
        number = (@db[:trail].where(inquiry_id: id).max(:number) || 0) + 1
        @db[:trail].insert(inquiry_id: id, number:, at:, step: step.to_s, state: InquiryDocument.dump(inquiry), **facts)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    # Inquiries and their trails.
    class Inquiries
      # An inquiry as stored.
      #
      # version :: goes up by one with each change, and so is the number of the last line of the
      #   trail
      # step    :: of the last change; sample :: whether it is sample data;
      # created_at, touched_at :: ISO 8601
      # papers  :: left at the last change; library_version :: of the library in which they were
      #   counted
      class Saved < Value
        attributes :id, :version, :step, :sample, :created_at, :touched_at, :papers,
                   :library_version, :inquiry
      end

      LINE = %i[number at who step kind facts count_before count_after library_version note
                brings_back].freeze
      private_constant :LINE

      # Raises UnavailableError, from whatever writes, while nothing can be written.
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

      # line :: facts of the trail's first line: who, kind, facts, count_before, count_after,
      #   library_version.
      # Gives the id.
      def create(inquiry, step:, at:, line:, sample: false)
        state = InquiryDocument.dump(inquiry)
        facts = FactsDocument.dump(line.fetch(:facts))
        writing do
          id = @db[:inquiries].insert(sample:, created_at: at, **standing(1, step, at, state, line))
          @db[:trail].insert(inquiry_id: id, number: 1, at:, step: step.to_s, state:, **line,
                             kind: line[:kind].to_s, facts:)
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
        state = InquiryDocument.dump(inquiry)
        facts = FactsDocument.dump(line.fetch(:facts))
        number = before.version + 1
        written = writing do
          still = @db[:inquiries].where(id: before.id, version: before.version)
          next false if still.update(standing(number, step, at, state, line)).zero?

          @db[:trail].insert(inquiry_id: before.id, number:, at:, step: step.to_s, state:, **line,
                             kind: line[:kind].to_s, facts:)
        end
        written && before.with(version: number, step:, touched_at: at, inquiry:, papers: line[:count_after],
                               library_version: line[:library_version])
      end

      # Raises GoneError for an id that is not there.
      def delete(id)
        raise GoneError, "inquiry" if writing { @db[:inquiries].where(id:).delete }.zero?
      end

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
                   .reverse.map do |at|
          Time.iso8601(at)
        end
      end

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
        state = @db[:trail].where(inquiry_id: id, number:).get(:state) or raise GoneError, "line"
        InquiryDocument.load(state)
      end

      # Writes a copy of all inquiries and trails to a file that does not exist yet. Raises
      # StateError.
      def backup(path) = Database.copy(@db, path)

      private

      def writing(&) = Trouble.told { @db.transaction(mode: :immediate, &) }

      def standing(version, step, at, state, line)
        { version:, step: step.to_s, touched_at: at, state:, papers: line[:count_after],
          library_version: line[:library_version] }
      end

      def saved(row)
        inquiry = InquiryDocument.load(row[:state])
        Saved.new(**row.except(:state, :step), step: row[:step].to_sym, inquiry:)
      end

      def lines(dataset)
        dataset.select(*LINE).map do |row|
          Trail::Line.new(**row, step: row[:step].to_sym, kind: row[:kind].to_sym,
                                 facts: FactsDocument.load(row[:facts]))
        end
      end
    end
  end
end

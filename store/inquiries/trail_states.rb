# frozen_string_literal: true

module Hobrin
  module Store
    # The inquiry after each line of its trail. A line keeps what it changed (see Differences); every
    # EVERY lines, and where the format of documents changes, one keeps the whole.
    class TrailStates
      EVERY = 50
      # Where differences take more than this share of the whole, the whole is kept.
      WORTH = 0.5
      private_constant :EVERY, :WORTH

      def initialize(db)
        @db = db
      end

      # What is written of a line that follows another: { state:, changes:, state_line: }, the last for
      # the row of the inquiry. row :: of the inquiry as it is before; nil for the first line.
      def of_line(row, number, inquiry)
        whole = InquiryDocument.dump(inquiry)
        full = { state: whole, changes: nil, state_line: number }
        before = row && row[:state_line] && number - row[:state_line] < EVERY && document(row)
        return full unless before && before["format"] == Upgrades::FORMAT

        changes = JSON.generate(Differences.between(before, JSON.parse(whole)))
        changes.bytesize > whole.bytesize * WORTH ? full : { state: "", changes:, state_line: row[:state_line] }
      end

      # The Inquiry of a row of inquiries.
      def inquiry(row) = load(document(row))

      # The same of many rows: Hash of id to Inquiry, with one statement for what changed.
      def inquiries(rows)
        lines = changes_of(rows).group_by { |line| line[:inquiry_id] }
        rows.to_h { |row| [row[:id], load(row[:state_line] ? put_together(lines.fetch(row[:id])) : parse(row[:state]))] }
      end

      # The Inquiry as it was after a line. Raises GoneError.
      def at(id, number)
        lines = trail(id).where(Sequel[:number] <= number)
        from = lines.exclude(state: "").max(:number) or raise GoneError, "line"
        found = lines.where(Sequel[:number] >= from).order(:number).select(:number, :state, :changes).all
        raise GoneError, "line" unless found.last[:number] == number

        load(put_together(found))
      end

      private

      def trail(id) = @db[:trail].where(inquiry_id: id)

      # As plain data.
      def document(row)
        return parse(row[:state]) unless row[:state_line]

        put_together(trail(row[:id]).where(Sequel[:number] >= row[:state_line]).order(:number)
                                    .select(:state, :changes).all)
      end

      def changes_of(rows)
        wanted = rows.select { |row| row[:state_line] }
        return [] if wanted.empty?

        @db[:trail].join(:inquiries, id: :inquiry_id)
                   .where(Sequel[:inquiries][:id] => wanted.map { |row| row[:id] })
                   .where(Sequel[:trail][:number] >= Sequel[:inquiries][:state_line])
                   .order(Sequel[:trail][:inquiry_id], Sequel[:trail][:number])
                   .select_map([Sequel[:trail][:inquiry_id], Sequel[:trail][:state], Sequel[:trail][:changes]])
                   .map { |inquiry_id, state, changes| { inquiry_id:, state:, changes: } }
      end

      # lines :: the first of which has the whole
      def put_together(lines)
        whole, *rest = lines
        rest.reduce(parse(whole[:state])) { |data, line| Differences.apply(data, parse(line[:changes])) }
      end

      def parse(text) = JSON.parse(text)
      def load(document) = InquiryDocument.load(JSON.generate(document))
    end
  end
end

# frozen_string_literal: true

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
    end
  end
end

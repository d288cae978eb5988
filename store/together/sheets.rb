# frozen_string_literal: true

require "json"

module Hobrin
  module Store
    # The sheet of each of two people for papers that are weighed twice, as Appraisal::Paper without
    # what it gives for outcomes.
    class Sheets < Apart
      def initialize(db)
        super(db, table: :sheets, pair: %i[first_weigher_id second_weigher_id])
      end

      # done :: whether the person is done with the paper; at :: ISO 8601. Gives whether it was
      # written: not where both are done.
      def put(id, person_id, paper, done:, at:)
        sheet = JSON.generate(WeighingDocument.paper_data(paper.with(reported: [])))
        write(id, paper.record_id, person_id, sheet:, done:, at:)
      end

      # The ids of the papers that a person is done with.
      def done(id, person_id) = finished(id).where(person_id:).select_map(:record_id)

      private

      def finished(id) = rows(id).where(done: true)
      def held(row) = WeighingDocument.paper(JSON.parse(row[:sheet], symbolize_names: true))
    end
  end
end

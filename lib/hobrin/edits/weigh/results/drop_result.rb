# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Takes away what a paper gave for an outcome.
      class DropResult < ResultEdit
        attributes :record_id, :number

        def call(inquiry, surroundings)
          dropped = result(inquiry)
          paper = inquiry.paper(record_id).without_result(number)
          Change.new(inquiry: inquiry.with_paper(paper), kind: :result_dropped,
                     facts: named(inquiry, surroundings, dropped))
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # What all edits of one result of a paper have in common. A subclass has the attributes
      # record_id and number.
      class ResultEdit < Edit
        STEP = :weigh

        def about(inquiry) = inquiry.paper(record_id)&.result(number)

        private

        # Raises GoneError where the paper gives no such result any more.
        def result(inquiry) = inquiry.paper(record_id)&.result(number) || raise(GoneError, "result")

        # changed :: the Reported in place of what was there, with all facts of the trail line
        def put(inquiry, surroundings, changed, kind, **facts)
          paper = inquiry.paper(record_id).with_result(changed)
          Change.new(inquiry: inquiry.with_paper(paper), kind:,
                     facts: { **named(inquiry, surroundings, changed), **facts })
        end

        def named(inquiry, surroundings, result)
          { record: record_id, title: surroundings.paper(record_id).title,
            name: inquiry.weighing.outcome(result.outcome_id)&.name.to_s }
        end
      end
    end
  end
end

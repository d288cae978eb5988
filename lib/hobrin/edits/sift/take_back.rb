# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # Takes the decision on a paper back.
      class TakeBack < PaperEdit
        attributes :record_id

        def call(inquiry, surroundings)
          left = inquiry.decisions.reject { |decision| decision.record_id == record_id }
          change(inquiry.with(decisions: left), surroundings, :decision_taken_back)
        end
      end
    end
  end
end

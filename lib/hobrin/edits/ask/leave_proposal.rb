# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # Leaves a proposal, so that it is not made again.
      class LeaveProposal < Value
        attributes :key, :words

        def call(question, _surroundings)
          question.element(key) ? question.declining(key, words) : question
        end
      end
    end
  end
end

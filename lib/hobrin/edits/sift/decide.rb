# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # Keeps or drops a paper, or sets it aside.
      #
      # decision :: Sifting::Decision
      class Decide < PaperEdit
        attributes :decision

        def record_id = decision.record_id

        def call(inquiry, surroundings)
          facts = { verdict: decision.verdict.to_s, reason: decision.reason }
          change(inquiry.with_decision(decision), surroundings, :paper_decided, **facts)
        end
      end
    end
  end
end

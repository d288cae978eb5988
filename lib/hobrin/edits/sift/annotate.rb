# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # Changes the note of a decision that was made.
      class Annotate < PaperEdit
        attributes :record_id, :note

        UNDECIDED = "Keep it, drop it, or say you are unsure: the note goes with that."
        private_constant :UNDECIDED

        # Raises InputError (:verdict) when there is no decision yet.
        def call(inquiry, surroundings)
          decision = inquiry.decision(record_id) or raise InputError, { verdict: UNDECIDED }
          change(inquiry.with_decision(decision.with(note:)), surroundings, :decision_noted)
        end
      end
    end
  end
end

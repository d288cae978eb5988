# frozen_string_literal: true

module Hobrin
  module Edits
    module Sift
      # Keeps or drops a paper, or sets it aside.
      #
      # decision :: Sifting::Decision; although_retracted :: whether the person knows that the paper
      #   was retracted, and keeps it all the same
      class Decide < PaperEdit
        attributes :decision, :although_retracted

        def initialize(decision:, although_retracted: false)
          super
        end

        def record_id = decision.record_id

        # Raises InputError (:retracted) for a retracted paper that is to be kept unknowingly.
        def call(inquiry, surroundings)
          ask(inquiry, surroundings.paper(record_id)) if decision.verdict == :keep && !although_retracted
          facts = { verdict: decision.verdict.to_s, reason: decision.reason }
          change(inquiry.with_decision(decision), surroundings, :paper_decided, **facts)
        end

        private

        def ask(inquiry, record)
          return if !record.retracted? || inquiry.kept_ids.include?(record_id)

          raise InputError, { retracted: "This paper was retracted: nothing in it counts as evidence. " \
                                         "It can be kept to show that it was seen, but has no level." }
        end
      end
    end
  end
end

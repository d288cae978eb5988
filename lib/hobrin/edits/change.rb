# frozen_string_literal: true

module Hobrin
  module Edits
    # What an edit made of an inquiry.
    #
    # inquiry :: the Inquiry after it; the same one when nothing was to be changed
    # kind    :: what was done, one of those that Wording knows
    # facts   :: Hash of what is to be told of it: texts, numbers, true and false, expressions, and
    #   lists and hashes of these. The trail keeps them; Wording says them.
    # step    :: where the change belongs, nil for the step of the edit
    # brings_back :: the number of the trail line whose state this brings back, nil for a change of
    #   its own; see Trail::History
    class Change < Value
      attributes :inquiry, :kind, :facts, :step, :brings_back

      def initialize(inquiry:, kind:, facts: {}, step: nil, brings_back: nil)
        @inquiry = inquiry
        @kind = kind
        @facts = facts.freeze
        @step = step
        @brings_back = brings_back
        freeze
      end
    end
  end
end

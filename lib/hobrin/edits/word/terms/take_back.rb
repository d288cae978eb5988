# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Puts a term that was crossed out back to use, and one that takes away back to finding.
      class TakeBack < TermEdit
        attributes :term_id

        def call(inquiry, _surroundings)
          replace(inquiry, :term_taken_back) { |term| term.with(crossed_out: nil, excluded: false) }
        end
      end
    end
  end
end

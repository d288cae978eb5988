# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Makes a term take its papers out of the block (NOT).
      class TakeAway < TermEdit
        attributes :term_id

        def call(inquiry, _surroundings)
          replace(inquiry, :term_excluded) { |term| term.with(crossed_out: nil, excluded: true) }
        end
      end
    end
  end
end

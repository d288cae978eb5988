# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Puts a term out of the search and leaves it in sight.
      #
      # reason :: why, "" when none was given
      class CrossOut < TermEdit
        attributes :term_id, :reason

        def call(inquiry, _surroundings)
          said = reason.strip
          replace(inquiry, :term_crossed_out, reason: said) { |term| term.with(crossed_out: said) }
        end
      end
    end
  end
end

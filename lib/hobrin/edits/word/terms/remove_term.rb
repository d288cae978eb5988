# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # Takes a term out of its block for good.
      class RemoveTerm < TermEdit
        attributes :term_id

        def call(inquiry, _surroundings) = replace(inquiry, :term_removed) { nil }
      end
    end
  end
end

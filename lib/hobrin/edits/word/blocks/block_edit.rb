# frozen_string_literal: true

module Hobrin
  module Edits
    module Word
      # What all edits of how a block stands to the others have in common.
      #
      # block :: key of the block; step :: where the person is, :word or :narrow
      class BlockEdit < Edit
        private

        # The Element of the block. Raises GoneError when it is not searched.
        def element(inquiry)
          inquiry.question.searched.find { |one| one.key == block } || raise(GoneError, "block")
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Question
    class Understanding
      # A phrase that a person might mark.
      #
      # key :: of the element; phrase :: a marked Phrase; sure :: how probable it is, 0 to 1
      # other :: key of the element that it may be instead, or nil
      # reasons :: Array of Reasons::Reason; headings :: the labels of the names in it that the
      #   thesaurus knows
      class Proposal < Value
        attributes :key, :phrase, :sure, :other, :reasons, :headings

        def sure? = sure >= SURE
      end
    end
  end
end

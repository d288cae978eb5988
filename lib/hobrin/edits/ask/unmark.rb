# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # Takes a mark off, or a typed phrase out.
      #
      # key :: of the element; place :: the first character of the marked phrase, or the text of a
      #   typed one
      class Unmark < Value
        attributes :key, :place

        def call(question, _surroundings)
          question.element(key) ? question.unmarked(key, place) : question
        end
      end
    end
  end
end

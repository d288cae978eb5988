# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # Moves an edge of a marked phrase over one word.
      #
      # key :: of the element; from :: the first character of the phrase; edge :: :start or :end;
      # by :: 1 to the right, -1 left
      class MoveEdge < Value
        attributes :key, :from, :edge, :by

        def call(question, _surroundings)
          question.element(key) ? question.with_edge(key, from, edge, by) : question
        end
      end
    end
  end
end

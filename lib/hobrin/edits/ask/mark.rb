# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # Marks words of the sentence as an element.
      #
      # key :: of the element; words :: as selected; near :: the character where they were selected
      class Mark < Value
        attributes :key, :words, :near

        def initialize(key:, words:, near: 0)
          super
        end

        def call(question, _surroundings) = question.marked(key, words, near:)
      end
    end
  end
end

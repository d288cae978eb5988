# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # Writes one word of the question as it was meant; marks stay where they are.
      #
      # from :: the first character of the word; meant :: the word to put in its place
      class Respell < Value
        attributes :from, :meant

        def call(question, _surroundings)
          _, start, stop = Text::Tokens.located(question.text).find { |_, first, _| first == from }
          return question unless start

          question.reworded(question.text.dup.tap { |text| text[start...stop] = meant })
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
      # Uses an element for what the rules of practice would.
      class ChangeUse < Value
        attributes :key, :use

        def call(question, _surroundings)
          question.element(key) ? question.with_use(key, use) : question
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # What people say when they are asked to tell.
      class Interviews < Maker
        private

        def abstract
          parts(background: "What #{i} means to people is seldom asked.",
                methods: phrase("methods", @design, n: @random.rand(8..34)), findings: phrase("findings"),
                conclusion: phrase("findings_end"))
        end
      end
    end
  end
end

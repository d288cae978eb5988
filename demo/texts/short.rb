# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Protocols, opinions, cases and guidelines: texts without results of a study.
      class Short < Maker
        private

        def abstract
          phrase("short", @design, n: @random.rand(6..40) * (@design == :protocol ? 10 : 1))
        end
      end
    end
  end
end

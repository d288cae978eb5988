# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # Shall we? What speaks for and against.
        class Deliberation < Part
          def call
            rows = Brief::Consideration::ALL.filter_map do |key, name|
              one = acting.consideration(key)
              [name, Brief::Consideration::MARKS.fetch(one.mark, "not marked"), one.line] unless one.empty?
            end
            section(:deliberation, "Shall we?",
                    grid("Shall we?", ["To think of", "From against to for", "In one line"], rows))
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module CloseReading
    module Numbers
      # What all checks have in common. A subclass writes `in_sentence`, or `call` when it looks at
      # more than one sentence at a time.
      class Check
        NUMBER = Printed::PATTERN
        private_constant :NUMBER

        # passage :: Passage
        def initialize(passage)
          @passage = passage
        end

        # Array of Disagreement.
        def call
          @passage.sentences.select(&:numbers?).flat_map { |sentence| in_sentence(sentence) }
        end

        private

        def disagreement(kind, sentence, match, worked_out)
          Disagreement.new(kind:, says: match[0].strip, worked_out:, from: sentence.from + match.begin(0),
                           to: sentence.from + match.end(0))
        end

        def printed(text) = Printed.read(text)
      end
    end
  end
end

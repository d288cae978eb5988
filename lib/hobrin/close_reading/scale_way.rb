# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Which end of a scale is the good one, as a sentence says: "10 being best", "higher is worse".
    module ScaleWay
      MORE = /\b\d+ (?:being|is|was|means?|for) (?:the )?best|\b(?:higher|more)(?: scores?| values?| points?)? (?:is|are|being|means?) (?:better|good)/i
      LESS = /\b\d+ (?:being|is|was|means?|for) (?:the )?worst|\b(?:higher|more)(?: scores?| values?| points?)? (?:is|are|being|means?) (?:worse|bad)/i
      private_constant :MORE, :LESS

      # text :: String. Gives :more where more is better, :less where less is, nil where it does
      # not say, or says both.
      def self.of(text)
        more, less = [MORE, LESS].map { |pattern| text.match?(pattern) }
        return if more == less

        more ? :more : :less
      end
    end
  end
end

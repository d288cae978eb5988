# frozen_string_literal: true

module Hobrin
  module Appraisal
    # An answer to a question of a sheet, and the sentence that shows it.
    #
    # says :: key of WORDS; shown :: a sentence of the paper, or where it stands, "" for none
    class Answer < Value
      attributes :says, :shown

      WORDS = { yes: "Yes", mostly: "Mostly", no: "No", not_told: "Not told" }.freeze
      # Characters of a sentence.
      LONGEST = 600

      # Raises InputError (:answers).
      def initialize(says:, shown: "")
        @says = says.to_s.to_sym
        @shown = shown.to_s.strip.freeze
        raise InputError, { answers: "Answer yes, mostly, no or not told." } unless WORDS.key?(@says)
        raise InputError, { answers: "Keep a sentence to #{LONGEST} characters." } if @shown.size > LONGEST

        freeze
      end
    end
  end
end

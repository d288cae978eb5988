# frozen_string_literal: true

module Hobrin
  class Brief
    # One thing to be thought of before a ward decides, in one line, with a mark from against to
    # for.
    #
    # mark :: −2 (against) to 2 (for), nil while it is not set; line :: in words
    class Consideration < Value
      attributes :mark, :line

      ALL = { benefit: "Benefit", harm: "Harm", certainty: "How sure that is", wants: "What patients want",
              cost: "Cost and time", fairness: "Fairness", accepted: "Will it be accepted?",
              doable: "Can it be done here?" }.freeze
      MARKS = { -2 => "against", -1 => "rather against", 0 => "neither", 1 => "rather for",
                2 => "for" }.freeze
      # What a ward may decide, in words.
      DECISIONS = { "change" => "Change", "some" => "Change for some", "trial" => "Try it on one " \
                                                                                  "ward first",
                    "leave" => "Leave it as it is", "stop" => "Stop doing it" }.freeze
      LONGEST = 300
      private_constant :LONGEST

      # Raises InputError (:considerations).
      def initialize(mark: nil, line: "")
        @mark = mark
        @line = line.to_s.strip.freeze
        raise InputError, { considerations: "Choose a mark from against to for." } unless mark.nil? || MARKS.key?(mark)
        raise InputError, { considerations: "Keep a line to #{LONGEST} characters." } if @line.size > LONGEST

        freeze
      end

      def empty? = mark.nil? && line.empty?
    end
  end
end

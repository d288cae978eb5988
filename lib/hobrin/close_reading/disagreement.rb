# frozen_string_literal: true

module Hobrin
  module CloseReading
    # Two numbers of a text that do not agree. It says nothing of whose fault that is: a slip of the
    # pen, a slip of ours, or people that the abstract does not name.
    #
    # kind :: one of KINDS; says :: what stands in the text; worked_out :: what follows from its
    #   other numbers, in words; from, to :: where the first of them stands, as in a Passage
    class Disagreement < Value
      attributes :kind, :says, :worked_out, :from, :to

      KINDS = { share: "a count and its percentage", more_than_all: "a part and its whole",
                impossible_share: "a percentage and how many there were", ratio: "a ratio and its counts",
                difference: "a difference and its means", interval: "an estimate and its interval",
                limits: "the ends of an interval", p_value: "an interval and its p value",
                no_p_value: "a p value", groups: "the groups and their total", mean: "a mean and its scale",
                grim: "a mean of whole numbers and how many there were",
                deviation: "a standard deviation and its scale",
                cells: "the results of a test and their sums", cost: "the cost of one and the cost of all" }.freeze

      def name = KINDS.fetch(kind)
    end
  end
end

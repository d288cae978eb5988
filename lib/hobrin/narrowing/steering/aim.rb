# frozen_string_literal: true

module Hobrin
  module Narrowing
    # How many papers a person can read: a band. 20 to 40 at the bedside, some hundreds for a
    # thorough review (common practice, no source).
    class Aim < Value
      attributes :from, :to

      MOST = 10_000
      # What an aim is for, and its two ends.
      USUAL = { "At the bedside" => [20, 40], "Thorough review" => [300, 1_500] }.freeze

      # Raises InputError (:aim) when an end is no whole number of papers or they are the wrong way
      # round.
      def initialize(from: 20, to: 40)
        unless [from, to].all? { |number| number.is_a?(Integer) && number.between?(1, MOST) } && from <= to
          raise InputError,
                { aim: "Write two whole numbers of papers, the smaller first, such as 20 and 40." }
        end

        @from = from
        @to = to
        freeze
      end

      # :below, :inside or :above for a number of papers.
      def standing(count)
        return :below if count < from

        count > to ? :above : :inside
      end
    end
  end
end

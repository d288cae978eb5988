# frozen_string_literal: true

module Hobrin
  module Strategy
    # Two words or phrases near each other in one field.
    #
    # left, right :: texts as in Words; distance :: how many words on at most the later one begins after the
    # earlier one ends, 1 meaning side by side; ordered :: whether left must come before right
    # fields :: some of Words::FIELDS
    #
    # Raises InputError (:words) for what Words refuses, (:distance) for a distance out of range.
    class Near < Node
      attributes :left, :right, :distance, :ordered, :fields

      DISTANCES = (1..50)

      def initialize(left:, right:, distance: 1, ordered: false, fields: Words::TEXT)
        unless distance.is_a?(Integer) && DISTANCES.cover?(distance)
          raise InputError, { distance: "Write a distance from #{DISTANCES.min} to #{DISTANCES.max} words." }
        end

        @left, @right = [left, right].map { |text| Words.new(text:, fields:).text }
        @distance = distance
        @ordered = ordered ? true : false
        @fields = Words.new(text: left, fields:).fields
        freeze
      end

      # The two sides as Words, in the same fields.
      def sides = [left, right].map { |text| Words.new(text:, fields:) }

      def label = "#{left} #{ordered ? "then" : "near"} #{right}"
    end
  end
end

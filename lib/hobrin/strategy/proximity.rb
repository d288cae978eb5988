# frozen_string_literal: true

module Hobrin
  module Strategy
    # Two words or phrases near each other in one field.
    #
    # left, right :: texts as in TextTerm; distance :: how many words on at most the later one
    #   begins after the
    # earlier one ends, 1 meaning side by side; ordered :: whether left must come before right
    # fields :: some of TextTerm::FIELDS
    #
    # Raises InputError (:words) for what TextTerm refuses, (:distance) for a distance out of range.
    class Proximity < Expression
      attributes :left, :right, :distance, :ordered, :fields

      DISTANCES = (1..50)

      # One text split into its two sides.
      #
      # text :: as a person typed it; split :: how many of its words stand on the left, kept within them
      # Raises InputError as `new` and TextTerm.read do, and (:words) for fewer than two words.
      def self.split(text, split:, distance:, ordered:, fields:)
        words = TextTerm.read(text, fields:).tokens
        raise InputError, { words: Book.t("strategy.errors.two_words") } if words.size < 2

        at = split.to_i.clamp(1, words.size - 1)
        left, right = [words.take(at), words.drop(at)].map { |side| side.join(" ") }
        new(left:, right:, distance:, ordered:, fields:)
      end

      def initialize(left:, right:, distance: 1, ordered: false, fields: TextTerm::TEXT)
        unless distance.is_a?(Integer) && DISTANCES.cover?(distance)
          raise InputError,
                { distance: Book.t("strategy.errors.distance_range", least: DISTANCES.min, most: DISTANCES.max) }
        end

        @left, @right = [left, right].map { |text| TextTerm.new(text:, fields:).text }
        @distance = distance
        @ordered = ordered ? true : false
        @fields = TextTerm.new(text: left, fields:).fields
        freeze
      end

      # The two sides as TextTerm, in the same fields.
      def sides = [left, right].map { |text| TextTerm.new(text:, fields:) }

      # Whether one word of a paper might stand for both sides, which it must not.
      def overlapping?
        left, right = sides.map(&:masks)
        left.product(right).any? { |one, other| one.meets?(other) }
      end

      def label = "#{left} #{ordered ? "then" : "near"} #{right}"
    end
  end
end

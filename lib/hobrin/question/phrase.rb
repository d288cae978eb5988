# frozen_string_literal: true

module Hobrin
  class Question
    # Words that stand for an element: marked in the sentence, with the first character's place, or
    # typed because the sentence lacks them, with no place.
    class Phrase < Value
      attributes :text, :from

      def initialize(text:, from: nil)
        raise ArgumentError, "a phrase needs text" if text.to_s.strip.empty?

        @text = text.dup.freeze
        @from = from
        freeze
      end

      def marked? = !from.nil?

      # The place one past the last character, or nil when it is not in the sentence.
      def to = marked? ? from + text.size : nil

      def overlaps?(other) = marked? && other.marked? && from < other.to && other.from < to
    end
  end
end

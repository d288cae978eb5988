# frozen_string_literal: true

module Hobrin
  module Learning
    # More questions from those there are: each one again with some of its phrases replaced by
    # phrases of the same element from questions of the same kind. What stands around a phrase comes
    # to count for more, and what it names for less.
    class Swaps
      SHARE = 0.6
      private_constant :SHARE

      # examples :: those to take phrases from; seed :: Integer
      def initialize(examples, seed:)
        @phrases = Hash.new { |all, key| all[key] = [] }
        examples.each do |one|
          one.spans.each { |key, from, to| @phrases[[one.kind, key]] << one.text[from...to] }
        end
        @random = Random.new(seed)
      end

      # Gives a changed copy of an example.
      def call(example)
        text = +""
        at = 0
        spans = example.spans.map do |key, from, to|
          text << example.text[at...from]
          at = to
          start = text.size
          text << phrase(example, key, example.text[from...to])
          [key, start, text.size]
        end
        text << example.text[at..]
        Examples::Example.new(example.id, example.fold, example.kind, text.freeze, spans).freeze
      end

      private

      def phrase(example, key, own)
        return own if @random.rand >= SHARE

        other = @phrases[[example.kind, key]].sample(random: @random)
        like(own, other)
      end

      # With a capital where its forerunner had one.
      def like(own, other)
        return other[0].upcase + other[1..] if own.match?(/\A[A-Z][a-z]/) && other.match?(/\A[a-z]/)
        return other[0].downcase + other[1..] if own.match?(/\A[a-z]/) && other.match?(/\A[A-Z][a-z]/)

        other
      end
    end
  end
end

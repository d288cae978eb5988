# frozen_string_literal: true

module Hobrin
  module Learning
    # Questions of which something was not proposed as it was marked, with what happened to it.
    class Failures
      # understanding :: Question::Understanding
      def initialize(understanding)
        @measure = Measure.new(understanding)
      end

      # examples :: Array of Examples::Example; most :: how many. Gives Markdown, one item for a
      # question, spread over all that failed.
      def call(examples, most:)
        failed = examples.reject { |one| wrong(one).empty? }
        step = [failed.size / most, 1].max
        failed.each_slice(step).map(&:first).first(most).map { |one| item(one) }.join("\n")
      end

      private

      def wrong(example)
        (example.spans - @measure.proposed(example)) + (@measure.proposed(example) - example.spans)
      end

      def item(example)
        found = @measure.proposed(example)
        missed = (example.spans - found).map { |span| "#{said(example, span)} #{why(span, found)}" }
        spare = (found - example.spans).reject do |span|
          example.spans.any? do |one|
            overlap?(one, span)
          end
        end
        more = spare.map { |span| "#{said(example, span)} was proposed and is nothing" }
        "- #{example.text}  \n  #{[*missed, *more].join("; ")}."
      end

      def said(example, (key, from, to)) = "#{key} “#{example.text[from...to]}”"

      def why(span, found)
        there = found.select { |one| overlap?(one, span) }
        return "was not seen" if there.empty?

        same = there.find { |one| one[0] == span[0] }
        return "was taken for #{there.map(&:first).uniq.join(" and ")}" unless same

        "was cut #{same[2] - same[1] > span[2] - span[1] ? "too long" : "too short"}"
      end

      def overlap?(one, other) = one[1] < other[2] && other[1] < one[2]
    end
  end
end

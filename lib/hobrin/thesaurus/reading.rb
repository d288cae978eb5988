# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # How free typing was read: from left to right, the longest name that the thesaurus knows
    # becomes a heading, and what is left becomes words. Quotation marks or a * mean words only.
    #
    #   Reading.new(thesaurus).call("acute confusion rounds")
    #   # => [Part(kind: :heading, text: "acute confusion", label: "Delirium"),
    #   #     Part(kind: :words, text: "rounds", label: nil)]
    class Reading
      # kind :: :heading or :words; text :: what was typed; label :: the heading's label, or nil
      class Part < Value
        attributes :kind, :text, :label
      end

      QUOTED = /["“”]/
      # Words that carry nothing by themselves; between other words they stay, at the ends they go.
      EMPTY = %w[a an and at being by for from given had has have having in is of on or receiving that the their to
                 undergoing was were who whose with].freeze
      private_constant :QUOTED

      def initialize(thesaurus)
        @thesaurus = thesaurus
      end

      # typed :: String. Gives an Array of Part, empty when there is no word in it.
      def call(typed)
        plain = typed.gsub(QUOTED, " ").strip.squeeze(" ")
        return [] if Text::Tokens.of(plain).empty?
        return [words(plain)] if typed.match?(QUOTED) || typed.include?("*")

        parts(typed)
      end

      # Where names that the thesaurus knows stand in a text: an Array of [first character, one past
      # the last], the longest name from the left each time.
      def located(text)
        left = Text::Tokens.located(text)
        found = []
        until left.empty?
          taken = longest_name(left)
          run = left.shift(taken || 1)
          found << [run.first[1], run.last[2]] if taken
        end
        found
      end

      private

      def parts(typed)
        located = Text::Tokens.located(typed)
        found = []
        until located.empty?
          taken = longest_name(located)
          found << [taken ? :heading : :words, located.shift(taken || 1)]
        end
        found.slice_when { |one, two| !(one.first == :words && two.first == :words) }
             .filter_map { |run| part(typed, run) }
      end

      # How many words at the front make the longest known name, or nil.
      def longest_name(located)
        [@thesaurus.longest_name, located.size].min.downto(1).find do |size|
          @thesaurus.named(located.first(size).map(&:first).join(" "))
        end
      end

      def part(typed, run)
        tokens = run.flat_map(&:last)
        tokens = trimmed(tokens) if run.first.first == :words
        return if tokens.empty?

        text = typed[tokens.first[1]...tokens.last[2]]
        return words(text) if run.first.first == :words

        Part.new(kind: :heading, text:, label: @thesaurus.named(text).label)
      end

      def trimmed(tokens)
        empty = ->(token) { EMPTY.include?(token.first) }
        tokens.drop_while(&empty).reverse.drop_while(&empty).reverse
      end

      def words(text) = Part.new(kind: :words, text:, label: nil)
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # Records that look like the same paper: shown side by side, said to be two, or the same after
    # all.
    class SettleDoubles
      # number :: of the later record; one, other :: Records::Record, the first first
      class Pair < Value
        attributes :number, :first, :one, :other
      end

      # So many pairs are given at once.
      MOST = 50

      def initialize(context)
        @library = context.library
      end

      # Those that are linked, after a number: Array of Pair.
      def linked(after: 0) = pairs(@library.duplicates.pairs(limit: MOST, after:))

      # Those that were said to be two.
      def parted = pairs(@library.duplicates.parted(limit: MOST))

      # Raises GoneError.
      def part(number) = @library.duplicates.part(number)
      def join(one, two) = @library.duplicates.join(one, two)

      private

      def pairs(numbers)
        numbers.filter_map do |first, number|
          one, other = [first, number].map { |each| @library.numbered(each) }
          Pair.new(number:, first:, one:, other:) if one && other
        end
      end
    end
  end
end

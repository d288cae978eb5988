# frozen_string_literal: true

require "matrix"

module Hobrin
  module Statistics
    # A symmetric matrix of two rows, as three plain numbers: what pooling a test asks for some
    # thousand times.
    #
    # a, b, d :: the first of the diagonal, what stands beside it, the second
    class Symmetric
      # What each of the three numbers is made of: the places of its row and column.
      PLACES = [[[0, 0]], [[0, 1], [1, 0]], [[1, 1]]].freeze
      private_constant :PLACES

      attr_reader :a, :b, :d

      def self.sum(some) = new(some.sum(&:a), some.sum(&:b), some.sum(&:d))

      def initialize(a, b, d)
        @a = a
        @b = b
        @d = d
      end

      def plus(other, size = 1.0) = Symmetric.new(a + (size * other.a), b + (size * other.b), d + (size * other.d))
      def times(x, y) = [(a * x) + (b * y), (b * x) + (d * y)]
      def largest = [a.abs, b.abs, d.abs].max
      def to_matrix = Matrix[[a, b], [b, d]]

      # Whether it can be a covariance: no variance below nothing, no correlation beyond one.
      def covariance? = a.positive? && d.positive? && (b * b) < a * d

      # Raises ExceptionForMatrix::ErrNotRegular where there is none.
      def inverse
        size = (a * d) - (b * b)
        raise ExceptionForMatrix::ErrNotRegular unless size.finite? && !size.zero?

        Symmetric.new(d / size, -b / size, a / size)
      end

      # The trace of its product with another one.
      def trace_with(other) = (a * other.a) + (2 * b * other.b) + (d * other.d)

      # self × D × self for each D that has 1 in the places of one of the three numbers.
      def around
        one, two = columns
        [outer(one, one), outer(one, two, 2), outer(two, two)]
      end

      # self × inner × self
      def wrapping(inner)
        one, two = columns
        Symmetric.new(inner.form(one, one), inner.form(one, two), inner.form(two, two))
      end

      # x × self × y, for two columns
      def form(x, y)
        first, second = times(*y)
        (x[0] * first) + (x[1] * second)
      end

      # The trace of self × D × other × E, for the D and E of two of the three numbers.
      def between(other, one, two)
        PLACES[one].sum do |row, column|
          PLACES[two].sum { |first, second| other.at(column, first) * at(second, row) }
        end
      end

      def at(row, column)
        return b unless row == column

        row.zero? ? a : d
      end

      private

      def columns = [[a, b], [b, d]]

      # The even half of what two columns make, so many times.
      def outer(x, y, times = 1)
        beside = ((x[0] * y[1]) + (x[1] * y[0])) / 2
        Symmetric.new(times * x[0] * y[0], times * beside, times * x[1] * y[1])
      end
    end
  end
end

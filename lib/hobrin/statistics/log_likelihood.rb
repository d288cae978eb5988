# frozen_string_literal: true

module Hobrin
  module Statistics
    # Dunning's log-likelihood ratio: how much more surprising two shares are together than apart.
    #
    # Source: Dunning 1993, Accurate methods for the statistics of surprise and coincidence,
    # Computational Linguistics 19(1): -2 log λ for two binomials.
    module LogLikelihood
      # with, size             :: how many of a sample have something, and its size
      # elsewhere, others      :: how many of the rest have it, and the size of the rest
      # Integers from 0, with <= size, elsewhere <= others. Gives a Float from 0, negative when the
      # sample's share is the smaller one; 0.0 when either is empty.
      #
      #   LogLikelihood.call(110, 2552, 111, 29_225).round(2) # => 270.72
      def self.call(with, size, elsewhere, others)
        return 0.0 if size.zero? || others.zero?

        table = [with, size - with, elsewhere, others - elsewhere]
        rows = [size, others]
        columns = [with + elsewhere, size + others - with - elsewhere]
        ratio = 2 * (entropy(table) - entropy(rows) - entropy(columns) + entropy([size + others]))
        with * others >= elsewhere * size ? [ratio, 0.0].max : -ratio
      end

      # The sum of n log n.
      def self.entropy(counts) = counts.sum { |count| count.zero? ? 0.0 : count * Math.log(count) }
      private_class_method :entropy
    end
  end
end

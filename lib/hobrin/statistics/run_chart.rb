# frozen_string_literal: true

module Hobrin
  module Statistics
    # Whether a line of values in time stays about its middle by chance alone, by two sets of rules.
    #
    # Anhøj and Olesen, PLoS ONE 2014;9:e113825: a run of values on one side of the middle that is
    # longer than chance makes it, or fewer crossings of the middle. Perla et al., BMJ Qual Saf
    # 2011;20:46: six or more on one side, five or more that go on rising or falling (from memory).
    class RunChart
      SHIFT = 6
      TREND = 5
      FEWEST = 10
      private_constant :SHIFT, :TREND

      # longest, crossings :: as found; longest_limit :: more than it is a sign; crossings_limit :: fewer
      #   than it are; useful :: values that are not on the middle
      Found = Struct.new(:useful, :longest, :longest_limit, :crossings, :crossings_limit,
                         keyword_init: true) do
        def long? = longest > longest_limit
        def few_crossings? = crossings < crossings_limit
        def sign? = long? || few_crossings?
      end

      attr_reader :middle

      # values :: Array of Float in time; middle :: the median of the time before, that of the values
      #   themselves unless it is given
      def initialize(values, middle: nil)
        @values = values
        @middle = middle || Statistics.median(values)
      end

      # The longest run that chance allows for so many useful values.
      def self.longest_limit(useful) = Math.log2(useful).round + 3

      # The fewest crossings that chance allows: the lower 5 of 100 of a fair coin thrown so often,
      # less one.
      def self.crossings_limit(useful) = Proportions::Binomial.quantile(0.05, useful - 1)

      # Gives a Found; nil for fewer than ten useful values, of which little can be told.
      def call
        return if sides.size < FEWEST

        Found.new(useful: sides.size, longest: runs.map(&:size).max, longest_limit: RunChart.longest_limit(sides.size),
                  crossings: runs.size - 1, crossings_limit: RunChart.crossings_limit(sides.size))
      end

      # Whether six or more in a row lie on one side of the middle; those on it do not count.
      def shift? = runs.any? { |run| run.size >= SHIFT }

      # Whether five or more in a row go on rising, or falling; one that is like the last does not
      # count.
      def trend?
        changed = @values.chunk_while { |one, two| one == two }.map(&:first)
        steps = changed.each_cons(2).map { |one, two| two > one }
        steps.chunk_while { |one, two| one == two }.any? { |run| run.size + 1 >= TREND }
      end

      private

      def sides
        @sides ||= @values.reject { |value| value == middle }.map { |value| value > middle }
      end

      def runs = @runs ||= sides.chunk_while { |one, two| one == two }.to_a
    end
  end
end

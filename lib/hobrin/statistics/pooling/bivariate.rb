# frozen_string_literal: true

require "matrix"

module Hobrin
  module Statistics
    # Pools sensitivity and the share of false positives of a test together, since a study that
    # finds more of the ill often alarms more of the well: a normal model with effects that vary
    # and go together (Reitsma et al., J Clin Epidemiol 2005;58:982), by restricted maximum
    # likelihood in
    # Fisher's scoring steps (from memory). Where that does not come to rest, or with fewer than
    # three studies, the two are pooled apart and taken as independent.
    class Bivariate
      # middle :: [log odds of the sensitivity, log odds of the false positives]
      # covariance :: Matrix of their errors; between :: Matrix of the variance between studies
      # converged :: false where they were pooled apart
      class Pooled < Value
        attributes :middle, :covariance, :between, :converged

        def sensitivity(z: Normal::Z95) = share(0, z, 1)
        def specificity(z: Normal::Z95) = share(1, z, -1)

        # How the two go together between studies, −1 to 1; 0 where either does not vary.
        def correlation
          spread = between[0, 0] * between[1, 1]
          spread.positive? ? between[0, 1] / Math.sqrt(spread) : 0.0
        end

        # The edge of the region of the middle, or, predicted, of a new study: Array of [share of
        # false positives, sensitivity]. Common practice: by chi-squared of 2.
        def region(predicted: false, level: 0.95, points: 72)
          matrix = predicted ? covariance + between : covariance
          reach = Math.sqrt(ChiSquared.quantile(level, 2))
          root = Bivariate.root_of(matrix)
          Array.new(points) do |place|
            angle = 2 * Math::PI * place / points
            one, two = (root * Vector[reach * Math.cos(angle), reach * Math.sin(angle)]).to_a
            [Shares.share(middle[1] + two), Shares.share(middle[0] + one)]
          end
        end

        private

        def share(place, z, sign)
          reach = z * Math.sqrt(covariance[place, place])
          ends = [-reach, reach].map { |way| Shares.share(sign * (middle[place] + way)) }.sort
          Interval.new(estimate: Shares.share(sign * middle[place]), low: ends.first,
                       high: ends.last)
        end
      end

      STEPS = 400
      CLOSE = 1e-11
      FEWEST = 3
      # What each of the three parameters does to the variance between studies.
      PARTS = [Matrix[[1.0, 0.0], [0.0, 0.0]], Matrix[[0.0, 1.0], [1.0, 0.0]],
               Matrix[[0.0, 0.0], [0.0, 1.0]]].freeze
      private_constant :STEPS, :CLOSE, :FEWEST, :PARTS

      # A matrix whose product with its own transpose is a positive one of two rows (Cholesky).
      def self.root_of(matrix)
        a = Math.sqrt([matrix[0, 0], 0.0].max)
        b = a.zero? ? 0.0 : matrix[0, 1] / a
        Matrix[[a, 0.0], [b, Math.sqrt([matrix[1, 1] - (b * b), 0.0].max)]]
      end

      # studies :: Array of Accuracy, one or more
      def initialize(studies)
        pairs = studies.map(&:results)
        @effects = pairs.map { |pair| Vector[*pair.map(&:effect)] }
        @within = pairs.map { |pair| Matrix.diagonal(*pair.map(&:variance)) }
        @pairs = pairs
      end

      # Gives a Pooled.
      def call
        between = @pairs.size >= FEWEST ? scored : nil
        return apart unless between

        middle, covariance = fitted(weights(between))
        Pooled.new(middle: middle.to_a, covariance:, between:, converged: true)
      end

      private

      def apart
        how = @pairs.size > 1 ? :reml : nil
        both = @pairs.transpose.map { |results| InverseVariance.call(results, tau2: how) }
        Pooled.new(middle: both.map(&:estimate), covariance: Matrix.diagonal(*both.map do |one|
          one.error**2
        end),
                   between: Matrix.diagonal(*both.map(&:tau2)), converged: false)
      end

      # The variance between studies where the restricted likelihood is highest; nil when the steps
      # do not come to rest within what a covariance can be.
      def scored
        between = start
        STEPS.times do
          change = step(between) or return
          size = 1.0
          size /= 2 until size < 1e-9 || possible?(moved(between, change, size))
          return if size < 1e-9

          between = moved(between, change, size)
          return between if change.map(&:abs).max < CLOSE * (1 + between.map(&:abs).max)
        end
        nil
      end

      def start
        tau2s = @pairs.transpose.map do |results|
          [InverseVariance.call(results, tau2: :dl).tau2, 0.05].max
        end
        Matrix.diagonal(*tau2s)
      end

      def moved(between, change, size)
        between + PARTS.zip(change).map { |part, by| part * (by * size) }.sum(Matrix.zero(2))
      end

      # No variance below nothing, no correlation beyond one.
      def possible?(matrix)
        matrix[0,
               0].positive? && matrix[1,
                                      1].positive? && (matrix[0,
                                                              1]**2) < matrix[0, 0] * matrix[1, 1]
      end

      def weights(between) = @within.map { |own| (own + between).inverse }

      # [the middle, the covariance of its error]
      def fitted(weights)
        covariance = weights.sum(Matrix.zero(2)).inverse
        [covariance * @effects.zip(weights).sum(Vector.zero(2)) do |effect, weight|
          weight * effect
        end, covariance]
      end

      # The score over its expected information; nil where that cannot be turned.
      def step(between)
        weights = weights(between)
        middle, covariance = fitted(weights)
        aside = @effects.zip(weights).map { |effect, weight| weight * (effect - middle) }
        slopes = PARTS.map do |part|
          weights.sum(Matrix.zero(2)) do |weight|
            weight * part * weight
          end
        end
        score = PARTS.zip(slopes).map do |part, slope|
          aside.sum { |rest| rest.inner_product(part * rest) } - weights.sum do |weight|
            (weight * part).trace
          end + (covariance * slope).trace
        end
        information = information(weights, covariance, slopes)
        (information.inverse * Vector[*score]).to_a
      rescue ExceptionForMatrix::ErrNotRegular
        nil
      end

      def information(weights, covariance, slopes)
        Matrix.build(3) do |row, column|
          one, two = [PARTS[row], PARTS[column]]
          plain = weights.sum { |weight| (weight * one * weight * two).trace }
          mixed = weights.sum(Matrix.zero(2)) { |weight| weight * one * weight * two * weight }
          plain - (2 * (covariance * mixed).trace) + (covariance * slopes[row] * covariance * slopes[column]).trace
        end
      end
    end
  end
end

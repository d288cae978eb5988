# frozen_string_literal: true

require "matrix"

module Hobrin
  module Statistics
    module Pooling
      # Pools sensitivity and the share of false positives of a test together, since a study that
      # finds more of the ill often alarms more of the well: a normal model with effects that vary
      # and go together (Reitsma et al., J Clin Epidemiol 2005;58:982), by restricted maximum likelihood in
      # Fisher's scoring steps (from memory). Where that does not come to rest, or with fewer than
      # three studies, the two are pooled apart and taken as independent.
      class Bivariate
        # middle :: [log odds of the sensitivity, log odds of the false positives]
        # covariance :: Matrix of their errors; between :: Matrix of the variance between studies
        # converged :: false where they were pooled apart
        class Pooled < Value
          attributes :middle, :covariance, :between, :converged

          def sensitivity(z: Distributions::Normal::Z95) = share(0, z, 1)
          def specificity(z: Distributions::Normal::Z95) = share(1, z, -1)

          # How the two go together between studies, −1 to 1; 0 where either does not vary.
          def correlation
            spread = between[0, 0] * between[1, 1]
            spread.positive? ? between[0, 1] / Math.sqrt(spread) : 0.0
          end

          # The edge of the region of the middle, or, predicted, of a new study: Array of [share of
          # false positives, sensitivity]. Common practice: by chi-squared of 2.
          def region(predicted: false, level: 0.95, points: 72)
            matrix = predicted ? covariance + between : covariance
            reach = Math.sqrt(Distributions::ChiSquared.quantile(level, 2))
            root = Bivariate.root_of(matrix)
            Array.new(points) do |place|
              angle = 2 * Math::PI * place / points
              one, two = (root * Vector[reach * Math.cos(angle), reach * Math.sin(angle)]).to_a
              [Proportions::Shares.share(middle[1] + two), Proportions::Shares.share(middle[0] + one)]
            end
          end

          private

          def share(place, z, sign)
            reach = z * Math.sqrt(covariance[place, place])
            ends = [-reach, reach].map { |way| Proportions::Shares.share(sign * (middle[place] + way)) }.sort
            Interval.new(estimate: Proportions::Shares.share(sign * middle[place]), low: ends.first,
                         high: ends.last)
          end
        end

        STEPS = 400
        CLOSE = 1e-11
        FEWEST = 3
        private_constant :STEPS, :CLOSE, :FEWEST

        # A matrix whose product with its own transpose is a positive one of two rows (Cholesky).
        def self.root_of(matrix)
          a = Math.sqrt([matrix[0, 0], 0.0].max)
          b = a.zero? ? 0.0 : matrix[0, 1] / a
          Matrix[[a, 0.0], [b, Math.sqrt([matrix[1, 1] - (b * b), 0.0].max)]]
        end

        # studies :: Array of Accuracy, one or more
        def initialize(studies)
          @pairs = studies.map(&:results)
          @effects = @pairs.map { |pair| pair.map(&:effect) }
          @within = @pairs.map { |pair| Symmetric.new(pair[0].variance, 0.0, pair[1].variance) }
        end

        # Gives a Pooled.
        def call
          between = @pairs.size >= FEWEST ? scored : nil
          return apart unless between

          middle, covariance = fitted(weights(between))
          Pooled.new(middle:, covariance: covariance.to_matrix, between: between.to_matrix, converged: true)
        end

        private

        def apart
          how = @pairs.size > 1 ? :reml : nil
          both = @pairs.transpose.map { |results| InverseVariance.call(results, tau2: how) }
          Pooled.new(middle: both.map(&:estimate), covariance: Matrix.diagonal(*both.map { |pooled| pooled.error**2 }),
                     between: Matrix.diagonal(*both.map(&:tau2)), converged: false)
        end

        # The variance between studies where the restricted likelihood is highest; nil when the steps
        # do not come to rest within what a covariance can be.
        def scored
          between = start
          STEPS.times do
            Deadline.check
            change = step(between) or return
            size = 1.0
            size /= 2 until size < 1e-9 || between.plus(change, size).covariance?
            return if size < 1e-9

            between = between.plus(change, size)
            return between if change.largest < CLOSE * (1 + between.largest)
          end
          nil
        end

        def start
          one, two = @pairs.transpose.map { |results| [InverseVariance.call(results, tau2: :dl).tau2, 0.05].max }
          Symmetric.new(one, 0.0, two)
        end

        def weights(between) = @within.map { |own| own.plus(between).inverse }

        # [the middle, the covariance of its error]
        def fitted(weights)
          covariance = Symmetric.sum(weights).inverse
          sums = @effects.zip(weights).map { |effect, weight| weight.times(*effect) }.transpose.map(&:sum)
          [covariance.times(*sums), covariance]
        end

        # The score over its expected information, as a change of the variance; nil where that cannot
        # be turned.
        def step(between)
          weights = weights(between)
          middle, covariance = fitted(weights)
          slopes = weights.map(&:around).transpose.map { |some| Symmetric.sum(some) }
          score = score(weights, middle, covariance, slopes)
          change = information(weights, covariance, slopes).inverse * Vector[*score]
          Symmetric.new(*change.to_a)
        rescue ExceptionForMatrix::ErrNotRegular
          nil
        end

        def score(weights, middle, covariance, slopes)
          rests = @effects.zip(weights).map do |effect, weight|
            one, two = weight.times(effect[0] - middle[0], effect[1] - middle[1])
            [one * one, 2 * one * two, two * two]
          end
          traces = weights.map { |weight| [weight.a, 2 * weight.b, weight.d] }
          fit = slopes.map { |slope| covariance.trace_with(slope) }
          rests.transpose.zip(traces.transpose, fit).map { |rest, trace, own| rest.sum - trace.sum + own }
        end

        def information(weights, covariance, slopes)
          wrapped = weights.map { |weight| weight.wrapping(covariance) }
          turned = slopes.map { |slope| covariance.wrapping(slope) }
          Matrix.build(3) do |row, column|
            weights.sum { |weight| weight.between(weight, row, column) } -
              (2 * weights.zip(wrapped).sum { |weight, whole| whole.between(weight, row, column) }) +
              turned[row].trace_with(slopes[column])
          end
        end

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
  end
end

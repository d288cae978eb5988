# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # Whether small papers show something else than large ones: each effect by its error, with
        # Egger's test and Peters'.
        class SmallPapers
          include Formatting

          WIDTH = 420
          HEIGHT = 260
          EDGE = 34
          private_constant :WIDTH, :HEIGHT, :EDGE

          # A paper in the picture: x, y :: places; label :: in words
          class Point < Value
            attributes :x, :y, :label
          end

          # part :: Outcome
          def initialize(part)
            @part = part
            @pool = part.pool
            @scale = read_scale if any?
            freeze
          end

          def any? = !@pool.pooled.nil? && !@pool.measure.nothing.nil?
          def frame = [WIDTH, HEIGHT]

          # Large papers stand high.
          def points
            @pool.studies.map do |study|
              result = study.result
              label = Book.t("appraise.small.study", study: study.label, effect: @part.told.value(result.effect),
                                                     error: decimal(result.error))
              Point.new(x: x(result.effect), y: y(result.error), label:)
            end
          end

          # Where 95 of 100 would lie if all had the pooled effect: three corners.
          def funnel
            reach = Statistics::Distributions::Normal::Z95 * most
            [[x(middle), y(0)], [x(middle - reach), y(most)], [x(middle + reach), y(most)]]
          end

          # [x, in words] of the ticks below.
          def ticks
            scale.ticks.map { |place, words| [EDGE + (place / Brief::Scale::WIDTH.to_f * (WIDTH - (2 * EDGE))), words] }
          end

          def middle_line = [x(middle), y(0), y(most)]

          # Egger's test, and Peters' for ratios of events, in sentences.
          def words
            return too_few unless @pool.enough_to_test?

            tests = { Book.t("appraise.small.egger") => @pool.egger }
            tests = { Book.t("appraise.small.peters") => @pool.peters, **tests } if @pool.ratio_of_events?
            [*tests.map { |name, test| result(name, test) }, *misleads].join(" ")
          end

          # [name, effect, error] of each paper.
          def rows
            @pool.studies.map do |study|
              [study.label, @part.told.value(study.result.effect), decimal(study.result.error, 3)]
            end
          end

          private

          def too_few
            Book.t("appraise.small.too_few", least: Statistics::Pooling::SmallStudyEffects::Egger::FEWEST, studies: @pool.studies.size)
          end

          def result(name, test)
            return Book.t("appraise.small.no_variation", test: name) unless test

            key = test.p < 0.1 ? "effects" : "no_effects"
            Book.t("appraise.small.#{key}", test: name, t: decimal(test.t), df: test.df, p: @part.told.p(test.p))
          end

          def misleads
            return unless @pool.ratio_of_events?

            Book.t("appraise.small.use_peters")
          end

          def middle = @pool.pooled.estimate
          def most = @pool.results.map(&:error).max * 1.05

          attr_reader :scale

          def read_scale
            reach = Statistics::Distributions::Normal::Z95 * most
            effects = @pool.results.map { |result| [result.effect, result.effect] }
            Brief::Scale.new(@pool.measure, [[middle - reach, middle + reach], *effects])
          end

          def x(effect)
            (EDGE + (scale.place(effect) / Brief::Scale::WIDTH.to_f * (WIDTH - (2 * EDGE)))).round(1)
          end

          def y(error) = (12 + (error / most * (HEIGHT - 46))).round(1)
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # An outcome that is a test: its papers in pairs, pooled together, and what a result means
        # where a known share of people has the condition.
        class Accuracy < Outcome
          TEST_PARTS = %w[together values certainty is].freeze
          private_constant :TEST_PARTS

          def view = part == "together" ? "appraise/test" : "appraise/#{part}"

          # roc :: RocSpace; values :: PredictiveValues
          attr_reader :roc, :values

          # [Study, Accuracy, path to its numbers, fields that take it out] of each paper.
          def rows
            pool.studies.map do |study|
              [study, study.reported.values,
               page.path_to_numbers(study.record, outcome, result: study.number), fields_of(study).merge(do: "out")]
            end
          end

          # "97.5 (86.8 to 99.9)", of a Statistics::Interval of proportions
          def share(interval)
            Book.t("appraise.accuracy.interval", estimate: page.points(interval.estimate), low: page.points(interval.low),
                                                 high: page.points(interval.high))
          end

          def pooled = pool.tests

          def facts
            return [] unless pooled

            [pooled.converged ? together : apart, between,
             Book.t("appraise.accuracy.ratios", positive: page.decimal(positive), negative: page.decimal(negative))]
          end

          private

          def read_pictures
            @roc = RocSpace.new(self)
            @values = PredictiveValues.new(self)
          end

          def parts_offered = TEST_PARTS
          def positive = pooled.sensitivity.estimate / (1 - pooled.specificity.estimate)
          def negative = (1 - pooled.sensitivity.estimate) / pooled.specificity.estimate

          def between
            one, two = [0, 1].map { |place| page.decimal(pooled.between[place, place], 3) }
            Book.t("appraise.accuracy.between", sensitivity: one, false_positives: two)
          end

          def together
            Book.t("appraise.accuracy.bivariate", correlation: page.decimal(pooled.correlation))
          end

          def apart
            Book.t("appraise.accuracy.#{pool.studies.size < 3 ? "separately_few" : "separately"}")
          end

          # Papers on a test by false alarms and by what they find, with the pooled middle and its
          # regions.
          class RocSpace
            SIDE = 300
            EDGE = 36
            TOP = 22
            private_constant :SIDE, :EDGE, :TOP

            # A paper: x, y, size :: places; label :: in words
            class Point < Value
              attributes :x, :y, :size, :label
            end

            # part :: Accuracy
            def initialize(part)
              @part = part
              @pool = part.pool
              freeze
            end

            def frame = SIDE + EDGE + 14
            def edge = EDGE
            def side = SIDE
            def top = TOP

            def points
              @pool.studies.map do |study|
                test = study.reported.values
                Point.new(x: x(1 - test.specificity.estimate), y: y(test.sensitivity.estimate),
                          size: (2.5 + (7 * Math.sqrt(test.people.fdiv(most)))).round(1), label: label(study, test))
              end
            end

            def middle
              [x(1 - @pool.tests.specificity.estimate), y(@pool.tests.sensitivity.estimate)]
            end

            def region = outline(@pool.tests.region)
            def predicted = outline(@pool.tests.region(predicted: true))

            # [place along the axis, in words]
            def ticks = [0, 25, 50, 75, 100].map { |share| [share / 100.0, share.to_s] }
            def x(share) = (EDGE + (SIDE * share)).round(1)
            def y(share) = (TOP + (SIDE * (1 - share))).round(1)

            private

            def most = @pool.studies.map { |study| study.reported.people }.max
            def outline(pairs) = pairs.map { |alarms, found| "#{x(alarms)},#{y(found)}" }.join(" ")

            def label(study, test)
              Book.t("appraise.accuracy.study", study: study.label, sensitivity: (100 * test.sensitivity.estimate).round,
                                                false_positives: (100 * (1 - test.specificity.estimate)).round)
            end
          end

          # What a result of a test means for a thousand people of whom a known share has the
          # condition.
          class PredictiveValues
            # people :: whole people of a thousand, as Statistics::Accuracy::PredictiveValues; nil where nothing is pooled
            attr_reader :people

            # part :: Accuracy
            def initialize(part)
              @part = part
              @pool = part.pool
              @people = Statistics::Accuracy::PredictiveValues.of(sensitivity:, specificity:, prevalence: prevalence / 100) if any?
              freeze
            end

            # When the page follows the slider: once it rests.
            def trigger = "submit, input delay:250ms from:find #prevalence"

            def any? = !@pool.tests.nil?

            # The share of people who have it, in hundredths: as typed, else our own baseline, else
            # the middle of the papers.
            def prevalence
              typed = Appraisal::Reported::Figures::Typed.number(typed_text) unless typed_text.empty?
              typed&.between?(0, 100) ? typed : usual
            end

            def typed
              typed_text.empty? ? @part.page.decimal(usual, 1).delete_suffix(".0") : typed_text
            end

            def refused
              return if typed_text.empty? || Appraisal::Reported::Figures::Typed.number(typed_text)&.between?(0, 100)

              Book.t("appraise.accuracy.prevalence_range")
            end

            # Of those with a positive test, how many have it; of those with a negative one, how many
            # have not. In words.
            def positive
              value(Statistics::Accuracy::PredictiveValues.positive(sensitivity, specificity, prevalence / 100))
            end

            def negative
              value(Statistics::Accuracy::PredictiveValues.negative(sensitivity, specificity, prevalence / 100))
            end

            private

            def typed_text = @part.page.fields.text(:prevalence)[0, 20].strip
            def sensitivity = @pool.tests.sensitivity.estimate
            def specificity = @pool.tests.specificity.estimate

            def value(share)
              share ? Book.t("appraise.accuracy.percent", share: @part.page.points(share)) : Book.t("appraise.accuracy.nobody")
            end

            def usual
              return @part.outcome.baseline if @part.outcome.baseline

              shares = @pool.studies.map do |study|
                100.0 * study.reported.values.ill / study.reported.people
              end
              Statistics.median(shares).round(1)
            end
          end
        end
      end
    end
  end
end

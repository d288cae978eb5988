# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Weigh
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

          # part :: Test
          def initialize(part)
            @part = part
            @pool = part.pool
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
            "#{study.label}: finds #{(100 * test.sensitivity.estimate).round} of 100 who have it, alarms " \
              "#{(100 * (1 - test.specificity.estimate)).round} of 100 who have not"
          end
        end
      end
    end
  end
end

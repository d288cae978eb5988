# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Weigh
        # Pooled values of other sets of the papers, one below the other: without each, one after
        # the other in time, in groups.
        class Lines
          include Formatting

          # name :: what the line is; effect :: in words; mark :: Brief::Scale::Mark
          class Line < Value
            attributes :name, :effect, :mark
          end

          # part :: Outcome
          def initialize(part)
            @part = part
            @pool = part.pool
          end

          def without
            lines(@pool.studies.map { |study| "without #{study.label}" }.zip(@pool.without_each).select(&:last))
          end

          def in_time
            names = @pool.studies.each_with_index.map do |study, place|
              place.zero? ? study.label : "and #{study.label}"
            end
            lines(names.zip(@pool.one_by_one).select(&:last))
          end

          def by
            Appraisal::Synthesis::Pool::GROUPS.keys.find { |key| key.to_s == @part.page.fields.text(:by) } || :concern
          end

          # [name, path, whether it is chosen]
          def choices
            Appraisal::Synthesis::Pool::GROUPS.map do |key, name|
              [name, @part.page.path_to_outcome(@part.outcome, part: "groups", by: key), key == by]
            end
          end

          def in_groups = groups ? lines(groups.groups.to_a) : []

          # How these are worked out.
          def method
            knapp = " (Hartung–Knapp from three papers on)" if @pool.way.random? && @pool.way.knapp
            "Every line is pooled as the whole is#{knapp}."
          end

          # The test of the difference between groups, in a sentence.
          def difference
            return "All papers are alike in that." unless groups

            "Between the groups Q is #{decimal(groups.between)} on #{groups.df}, p #{@part.told.p(groups.p)}. " \
              "A difference between papers is not one between people."
          end

          def scale
            @scale ||= Brief::Scale.new(@pool.measure, @pool.results.map { |result| ends(result.effect, result.error) })
          end

          private

          def groups = @groups ||= @pool.groups(by, @part.page.question.kind)
          def ends(middle, error) = [middle - (@pool.way.z * error), middle + (@pool.way.z * error)]

          def lines(named)
            named.map do |name, one|
              low, high = one.low, one.high
              Line.new(name:, effect: @part.told.interval(one.estimate, low, high),
                       mark: scale.mark(low, one.estimate, high))
            end
          end
        end
      end
    end
  end
end

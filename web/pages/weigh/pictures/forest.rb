# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Weigh
        # The lines of a forest: each paper with its groups, its effect and its weight, and what
        # they come to together.
        class Forest
          include Formatting

          # groups :: [with, without] in words; effect :: in words; weight :: in hundredths, or nil
          # mark :: Brief::Scale::Mark; path :: to its numbers; out :: fields that take it out
          class Row < Value
            attributes :study, :groups, :effect, :weight, :mark, :path, :out
          end

          # part :: Outcome
          def initialize(part)
            @part = part
            @pool = part.pool
          end

          def rows = @pool.studies.each_with_index.map { |study, place| row(study, place) }

          def pooled
            @pool.pooled && scale.mark(@pool.pooled.low, @pool.pooled.estimate, @pool.pooled.high)
          end

          def pooled_words = @part.told.of(@pool.pooled)

          # Where a new study may lie: a Brief::Scale::Mark, nil where nothing differs.
          def prediction
            low, high = @pool.pooled&.prediction
            scale.mark(low, @pool.pooled.estimate, high) if low && @pool.pooled.tau2.positive?
          end

          def scale
            @scale ||= Brief::Scale.new(@pool.measure, [*@pool.results.map { |result| ends(result) }, *predicted])
          end

          # What stands over the two columns of groups, and over the picture.
          def headings
            return [@pool.arms.intervention_name, @pool.arms.comparison_name].map { |name| capital(name) } if @part.outcome.sort.two_groups?

            [@part.outcome.kind == "share" ? "Had it" : "People", nil]
          end

          def less = @pool.measure.nothing ? "less with #{@pool.arms.intervention_name}" : "of 100"

          private

          # What rounds to nothing is not nothing.
          def weight_in_words(weight) = weight < 0.005 ? "under 1" : hundredths(weight)

          def predicted
            @pool.pooled&.prediction && @pool.pooled.tau2.positive? ? [@pool.pooled.prediction] : []
          end

          def ends(result)
            reach = @pool.way.z * result.error
            [result.effect - reach, result.effect + reach]
          end

          def row(study, place)
            weight = @pool.pooled&.weights&.at(place)
            low, high = ends(study.result)
            Row.new(study:, groups: @part.told.groups(study.reported), weight: weight && weight_in_words(weight),
                    effect: @part.told.interval(study.result.effect, low, high),
                    mark: scale.mark(low, study.result.effect, high, 2 + (6 * Math.sqrt(weight || 0.3))),
                    path: @part.page.path_to_numbers(study.record, @part.outcome, result: study.number),
                    out: @part.fields_of(study).merge(do: "out"))
          end
        end
      end
    end
  end
end

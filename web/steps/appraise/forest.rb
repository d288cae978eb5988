# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Appraise
        # The lines of a forest: each paper with its groups, its effect and its weight, and what
        # they come to together.
        class Forest
          include Formatting

          # groups :: [with, without] in words; effect :: in words; weight :: in hundredths, or nil
          # mark :: Brief::Scale::Mark; path :: to its numbers; out :: fields that take it out
          class Row < Value
            attributes :study, :groups, :effect, :weight, :mark, :path, :out
          end

          # Brief::Scale of the picture, nil while no paper counts.
          attr_reader :scale

          # part :: Outcome
          def initialize(part)
            @part = part
            @pool = part.pool
            @scale = Brief::Scale.new(@pool.measure, [*@pool.results.map { |result| ends(result) }, *predicted]) if @pool.studies.any?
            freeze
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

          # What stands over the two columns of groups, and over the picture.
          def headings
            return [@pool.arms.intervention_name, @pool.arms.comparison_name].map { |name| capital(name) } if @part.outcome.sort.two_groups?

            [@part.outcome.kind == "share" ? Book.t("appraise.pooled.had_it") : Book.t("appraise.pooled.people_column"), nil]
          end

          def less
            return Book.t("appraise.pooled.per_100") unless @pool.measure.nothing

            Book.t("appraise.pooled.less_with", group: @pool.arms.intervention_name)
          end

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

          # Pooled values of other sets of the papers, one below the other: without each, one after
          # the other in time, in groups.
          class Lines
            include Formatting

            # name :: what the line is; effect :: in words; mark :: Brief::Scale::Mark
            class Line < Value
              attributes :name, :effect, :mark
            end

            # Brief::Scale of the picture, nil while no paper counts.
            attr_reader :scale

            # part :: Outcome
            def initialize(part)
              @part = part
              @pool = part.pool
              if @pool.studies.any?
                @scale = Brief::Scale.new(@pool.measure, @pool.results.map { |result| ends(result.effect, result.error) })
              end
              @groups = @pool.groups(by, part.page.question.kind) if part.part == "groups" && @pool.pooled
              freeze
            end

            def without
              names = @pool.studies.map { |study| Book.t("appraise.pooled.without_study", study: study.label) }
              lines(names.zip(@pool.without_each).select(&:last))
            end

            def in_time
              names = @pool.studies.each_with_index.map do |study, place|
                place.zero? ? study.label : Book.t("appraise.pooled.and_study", study: study.label)
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
              knapp = @pool.way.random? && @pool.way.knapp
              Book.t("appraise.pooled.#{knapp ? "same_model_knapp" : "same_model"}")
            end

            # The test of the difference between groups, in a sentence.
            def difference
              return Book.t("appraise.pooled.all_alike") unless groups

              Book.t("appraise.pooled.between", q: decimal(groups.between), df: groups.df, p: @part.told.p(groups.p))
            end

            private

            attr_reader :groups

            def ends(middle, error) = [middle - (@pool.way.z * error), middle + (@pool.way.z * error)]

            def lines(named)
              named.map do |name, one|
                low, high = one.low, one.high
                Line.new(name:, effect: @part.told.interval(one.estimate, low, high),
                         mark: scale.mark(low, one.estimate, high))
              end
            end
          end

          # What an outcome comes to in a hundred people like ours, at our own baseline.
          class OfHundred
            include Formatting

            # part :: Outcome
            def initialize(part)
              @part = part
              @row = Appraisal::Findings::Row.new(pool: part.pool, certainty: nil)
              @numbers = @row.hundred
              freeze
            end

            def any? = !numbers.nil?
            def without = people(numbers[0])
            def with = people(numbers[1])
            def lowest = numbers[2..].map { |share| people(share) }.min
            def highest = numbers[2..].map { |share| people(share) }.max

            # Where the baseline comes from, in words.
            def from
              Book.t("appraise.pooled.#{@part.outcome.baseline ? "own_baseline" : "median_baseline"}")
            end

            def typed
              @part.page.typed_or(:baseline,
                                  @part.outcome.baseline && decimal(@part.outcome.baseline,
                                                                    1).delete_suffix(".0"))
            end

            # Whether there is a difference to draw.
            def difference? = @row.difference?

            # The number needed to treat with its interval.
            def needed = Brief::Words::OfNumberNeeded.of(*numbers)

            private

            attr_reader :numbers

            def people(share) = (100 * share).round.clamp(0, 100)
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Weigh
        # An outcome that is a test: its papers in pairs, pooled together, and what a result means
        # where a known share of people has the condition.
        class Test < Outcome
          TEST_PARTS = { "together" => "Together", "values" => "What a result means",
                         "certainty" => "How sure", "is" => "What it is" }.freeze
          private_constant :TEST_PARTS

          def view = part == "together" ? "weigh/test" : "weigh/#{part}"
          def roc = @roc ||= RocSpace.new(self)
          def values = @values ||= PredictiveValues.new(self)

          # [Study, Accuracy, path to its numbers, fields that take it out] of each paper.
          def rows
            pool.studies.map do |study|
              [study, study.reported.values,
               page.path_to_numbers(study.record, outcome, result: study.number), fields_of(study).merge(do: "out")]
            end
          end

          # "97.5 (86.8 to 99.9)", of a Statistics::Interval of proportions
          def share(interval)
            "#{page.points(interval.estimate)} (#{page.points(interval.low)} to " \
              "#{page.points(interval.high)})"
          end

          def pooled = pool.tests

          def facts
            return [] unless pooled

            [pooled.converged ? together : apart, between,
             "A positive test is #{page.decimal(positive)} times as often found in those who have it; " \
             "a negative one #{page.decimal(negative)} times."]
          end

          private

          def parts_offered = TEST_PARTS
          def positive = pooled.sensitivity.estimate / (1 - pooled.specificity.estimate)
          def negative = (1 - pooled.sensitivity.estimate) / pooled.specificity.estimate

          def between
            one, two = [0, 1].map { |place| page.decimal(pooled.between[place, place], 3) }
            "τ² #{one} of sensitivity and #{two} of false positives, on the scale of log odds."
          end

          def together
            "Sensitivity and false positives are pooled together (Reitsma 2005, restricted maximum likelihood): " \
              "between papers they go together by #{page.decimal(pooled.correlation)}."
          end

          def apart
            "Sensitivity and specificity are pooled apart, as if one had nothing to do with the other: " \
              "#{pool.studies.size < 3 ? "fewer than three papers" : "together the model did not come to rest"}."
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Weigh
        # What a result of a test means for a thousand people of whom a known share has the
        # condition.
        class PredictiveValues
          # part :: Test
          def initialize(part)
            @part = part
            @pool = part.pool
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

            "Write a number from 0 to 100."
          end

          # Whole people of a thousand: Statistics::Accuracy::PredictiveValues.
          def people
            @people ||= Statistics::Accuracy::PredictiveValues.of(sensitivity:, specificity:,
                                                                  prevalence: prevalence / 100)
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
            share ? "#{@part.page.points(share)} of 100" : "nobody has such a result"
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

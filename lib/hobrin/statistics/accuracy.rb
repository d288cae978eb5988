# frozen_string_literal: true

module Hobrin
  module Statistics
    # How often a test is right, from the four counts of a study: sensitivity and specificity with
    # Wilson's intervals, likelihood ratios with those of Simel et al. (1991) and the diagnostic
    # odds ratio with Woolf's, on the log scale (from memory). Where a cell is empty ½ is added to
    # each for the ratios.
    #
    # true_positives, false_positives, false_negatives, true_negatives :: Integers from 0, with at
    #   least one person who has the condition and one who has not
    class Accuracy < Value
      attributes :true_positives, :false_positives, :false_negatives, :true_negatives

      # Raises InputError naming the field.
      def initialize(**given)
        errors = wrong(given)
        errors = nobody(given) if errors.empty?
        raise InputError, errors unless errors.empty?

        super
      end

      def ill = true_positives + false_negatives
      def well = false_positives + true_negatives
      def people = ill + well

      # Intervals of proportions, 0 to 1.
      def sensitivity(z: Distributions::Normal::Z95) = Proportions::Wilson.call(true_positives, ill, z:)
      def specificity(z: Distributions::Normal::Z95) = Proportions::Wilson.call(true_negatives, well, z:)

      # How much more often a positive test is found in those who have the condition.
      def positive_ratio(z: Distributions::Normal::Z95)
        a, b, c, d = cells
        ratio((a / (a + c)) / (b / (b + d)), (1 / a) - (1 / (a + c)) + (1 / b) - (1 / (b + d)), z)
      end

      def negative_ratio(z: Distributions::Normal::Z95)
        a, b, c, d = cells
        ratio((c / (a + c)) / (d / (b + d)), (1 / c) - (1 / (a + c)) + (1 / d) - (1 / (b + d)), z)
      end

      def odds_ratio(z: Distributions::Normal::Z95)
        a, b, c, d = cells
        ratio(a * d / (b * c), (1 / a) + (1 / b) + (1 / c) + (1 / d), z)
      end

      # [of the sensitivity, of the false positives], each a Result on the scale of the log odds, as
      # they are pooled together.
      def results
        a, b, c, d = cells
        [Pooling::Result.new(effect: Math.log(a / c), variance: (1 / a) + (1 / c)),
         Pooling::Result.new(effect: Math.log(b / d), variance: (1 / b) + (1 / d))]
      end

      private

      def wrong(given)
        given.reject { |_, number| number.is_a?(Integer) && number.between?(0, TwoByTwo::LARGEST) }
             .transform_values { Book.t("statistics.errors.whole_number") }
      end

      def nobody(given)
        { false_negatives: :true_positives,
          true_negatives: :false_positives }.filter_map do |one, other|
          nobody = one == :false_negatives ? "nobody_with" : "nobody_without"
          [one, Book.t("statistics.errors.#{nobody}")] if (given[one] + given[other]).zero?
        end.to_h
      end

      def cells
        four = to_h.values.map(&:to_f)
        four.any?(&:zero?) ? four.map { |cell| cell + 0.5 } : four
      end

      def ratio(estimate, variance, z)
        reach = z * Math.sqrt(variance)
        Interval.new(estimate:, low: estimate * Math.exp(-reach), high: estimate * Math.exp(reach))
      end

      # What a result of a test means where a share of people has the condition: Bayes' rule, as whole
      # people out of many.
      #
      # people :: Integer; ill, well :: of them; found, missed :: of the ill, with a positive and a
      #   negative test; alarmed, cleared :: of the well
      class PredictiveValues < Value
        attributes :people, :ill, :well, :found, :missed, :alarmed, :cleared

        class << self
          # sensitivity, specificity, prevalence :: 0 to 1; people :: how many in all
          def of(sensitivity:, specificity:, prevalence:, people: 1000)
            ill = (people * prevalence).round
            found = (ill * sensitivity).round
            cleared = ((people - ill) * specificity).round
            new(people:, ill:, well: people - ill, found:, missed: ill - found,
                alarmed: people - ill - cleared, cleared:)
          end

          # The chance of the condition after a positive test, not rounded; nil where no test is
          # positive.
          def positive(sensitivity, specificity, prevalence)
            share(sensitivity * prevalence, (1 - specificity) * (1 - prevalence))
          end

          # The chance that it is not there after a negative test.
          def negative(sensitivity, specificity, prevalence)
            share(specificity * (1 - prevalence), (1 - sensitivity) * prevalence)
          end

          private

          def share(right, wrong) = (right + wrong).zero? ? nil : right / (right + wrong).to_f
        end
      end
    end
  end
end

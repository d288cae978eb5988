# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Together
      # Finds what would count twice, or does not belong with the others, among the results of an
      # outcome. Of two that are in each other's way, the later one is to go.
      class Traps
        RANDOMIZED = %w[randomized_trial systematic_review].freeze
        private_constant :RANDOMIZED

        # outcome :: Outcome; studies :: Array of Study; same :: Hash of a record's id to the ids of
        #   papers that report the same people
        def initialize(outcome, studies, same: {})
          @outcome = outcome
          @studies = studies.reject { |study| study.reported.aside }
          @same = same
        end

        # Gives an Array of Trap, those too that a person counts in spite of.
        def call = @studies.flat_map { |study| of(study) }

        private

        def of(study)
          return [Trap.new(key: :retracted, study:, of: [])] if study.record.retracted?

          others = @studies.reject { |other| other.id == study.id || other.record.retracted? }
          [review(study, others), same_people(study, others), again(study), arm_twice(study), turned(study),
           changed(study), design(study, others)].compact
        end

        def trap(key, study, of) = of.any? ? Trap.new(key:, study:, of:) : nil

        def review(study, others)
          return unless study.paper.design == "systematic_review"

          trap(:review, study, others.map(&:record).select { |record| study.record.cites.include?(record.id) }.uniq)
        end

        def same_people(study, others)
          same = others.map(&:record).uniq.select { |record| @same.fetch(study.id, []).include?(record.id) }
          trap(:same_people, study, same.select { |record| (age(record) <=> age(study.record)).negative? })
        end

        def age(record) = [record.published.to_s, record.id]

        # Results of the same paper that stand before this one.
        def earlier(study) = @studies.select { |other| other.id == study.id && other.number < study.number }

        def again(study)
          trap(:again, study, earlier(study).select do |other|
            other.reported.time != study.reported.time && other.reported.group == study.reported.group
          end)
        end

        def arm_twice(study)
          return unless Reported::Form.fetch(study.reported.form).two_groups

          trap(:arm_twice, study, earlier(study).select do |other|
            other.reported.group != study.reported.group && other.reported.comparison_key == study.reported.comparison_key
          end)
        end

        def turned(study)
          way = CloseReading::ScaleWay.of("#{study.reported.shown} #{study.reported.group}")
          return if way.nil? || (way == @outcome.better) != study.reported.turned

          Trap.new(key: :turned, study:, of: [])
        end

        def changed(study)
          return unless study.reported.change

          trap(:changed, study, @studies.reject { |other| other.reported.change }.map(&:record).uniq)
        end

        def design(study, others)
          return if RANDOMIZED.include?(study.paper.design) || !@outcome.sort.two_groups?

          trap(:design, study, others.select { |other| other.paper.design == "randomized_trial" }.map(&:record).uniq)
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Synthesis
      # Finds what would count twice, or does not belong with the others, among the results of an
      # outcome. Of two that are in each other's way, the later one is to go.
      class IntegrityWarnings
        RANDOMIZED = %w[randomized_trial systematic_review].freeze
        private_constant :RANDOMIZED

        # outcome :: Outcome; studies :: Array of Study; same :: Hash of a record's id to the ids of
        #   papers that report the same people; arms :: Arms
        def initialize(outcome, studies, same: {}, arms: outcome.arms)
          @outcome = outcome
          @arms = arms
          @studies = studies.reject { |study| study.reported.aside }
          @same = same
          @by_paper = @studies.group_by(&:id)
          sound = @by_paper.transform_values(&:first).reject { |_, study| study.record.retracted? }
          @records = sound.transform_values(&:record)
          @trials = sound.values.select { |study| study.paper.design == "randomized_trial" }.map(&:record)
        end

        # Gives an Array of Trap, those too that a person counts in spite of.
        def call = @studies.flat_map { |study| of(study) }

        private

        def of(study)
          return [IntegrityWarning.new(key: :retracted, study:, of: [])] if study.record.retracted?

          [review(study), same_people(study), again(study), arm_twice(study), groups(study), turned(study),
           changed(study), design(study), units(study)].compact
        end

        def trap(key, study, of) = of.any? ? IntegrityWarning.new(key:, study:, of:) : nil

        def review(study)
          return unless study.paper.design == "systematic_review"

          trap(:review, study, @records.values_at(*study.record.cites).compact) ||
            trap(:may_include, study, older_studies(study))
        end

        # What a review may have taken in although its references are not known here.
        def older_studies(review)
          studies = @by_paper.values.map(&:first).reject { |other| other.paper.design == "systematic_review" }
          @records.values_at(*studies.map(&:id)).compact
                  .select { |record| (record.year || 0) <= (review.record.year || Float::INFINITY) }
        end

        def same_people(study)
          same = @records.values_at(*@same.fetch(study.id, [])).compact
          trap(:same_people, study, same.select { |record| (age(record) <=> age(study.record)).negative? })
        end

        def age(record) = [record.published.to_s, record.id]

        # Results of the same paper that stand before this one.
        def earlier(study)
          @by_paper.fetch(study.id).select { |other| other.number < study.number }
        end

        def again(study)
          others = earlier(study).select do |other|
            other.reported.time != study.reported.time && other.reported.group == study.reported.group
          end
          trap(:again, study, others)
        end

        def arm_twice(study)
          own = study.reported
          return unless Reported::Form.fetch(own.form).two_groups

          shared = earlier(study).select do |other|
            other.reported.group != own.group && other.reported.comparison_key == own.comparison_key
          end
          trap(:arm_twice, study, shared) unless own.allocation.shared > shared.size
        end

        def turned(study)
          way = CloseReading::Offers::ScaleWay.of("#{study.reported.shown} #{study.reported.group}")
          return if way.nil? || (way == @outcome.better) != study.reported.turned

          IntegrityWarning.new(key: :turned, study:, of: [])
        end

        # Groups that stand the other way round, or are none of the two that are compared.
        def groups(study)
          key = study.reported.against(@arms) if @outcome.sort.compares?
          IntegrityWarning.new(key:, study:, of: []) if key
        end

        # Trials whose people were not randomised one by one, as their texts say.
        def units(study)
          own = study.reported.allocation
          return if own.adjusted || !@outcome.sort.compares?

          kind = own.kind == :single ? CloseReading::MadeAs::UnitOfAllocation.of(study.record) : (own.kind if own.unadjusted?)
          IntegrityWarning.new(key: { cluster: :clusters, crossover: :crossover }.fetch(kind), study:, of: []) if kind
        end

        def changed(study)
          return unless study.reported.change

          ends = @by_paper.values.filter_map do |results|
            results.find { |other| !other.reported.change }&.record
          end
          trap(:changed, study, ends)
        end

        def design(study)
          return if RANDOMIZED.include?(study.paper.design) || !@outcome.sort.two_groups?

          trap(:design, study, @trials.reject { |record| record.id == study.id })
        end

        # A reason for which a result must not be counted as it stands, and how that is mended.
        #
        # key :: one of KEYS; study :: the Study to mend; of :: the Records, or Studies, that it is
        #   about
        class IntegrityWarning < Value
          attributes :key, :study, :of

          KEYS = %i[retracted review may_include same_people again arm_twice swapped arms clusters crossover turned changed
                    design].freeze
          # What mends by changing the result; all others by taking it out.
          CHANGES = %i[arm_twice turned swapped].freeze

          # What is wrong, as the end of a sentence; what the button says that resolves it.
          def self.says(key) = Book.t("appraisal.warning.#{key}.says")
          def says = self.class.says(key)
          def mend = Book.t("appraisal.warning.#{key}.fix")
          def open? = study.reported.aside.nil? && !study.reported.counted.include?(key)
        end
      end
    end
  end
end

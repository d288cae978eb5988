# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Synthesis
      # What the results of an outcome say together.
      #
      # outcome :: Outcome; arms :: Arms, the two groups that are compared; studies :: Array of Study that are counted, in order of year
      # aside :: Array of Study that are not, by hand or since they tell nothing
      # traps :: Array of Trap; pooled :: Statistics::Pooling::Pooled, nil for fewer than two studies, for a test,
      #   and while a trap is open; tests :: Statistics::Pooling::Bivariate::Pooled, for a test only
      class Pool < Value
        attributes :outcome, :arms, :studies, :aside, :traps, :pooled, :tests

        # By what papers can be told apart: key to words.
        GROUPS = Book.names("appraisal.subgroups", %i[design concern people place ages group])

        def way = outcome.way
        def measure = outcome.measure
        def results = studies.map(&:result)
        def open_traps = traps.select(&:open?)
        def people = studies.filter_map { |study| study.reported.people }.sum
        # As many people, each randomised alone, as would tell as much.
        def effective_people = studies.filter_map { |study| study.reported.effective_people }.sum

        def events = studies.filter_map { |study| study.reported.events }.sum
        def spread = Statistics::Pooling::Heterogeneity.new(results)

        # The share of the whole that each study weighs, 0 to 1; of a test, by its people.
        def weights
          return pooled.weights if pooled
          return studies.map { |study| study.reported.people.fdiv(people) } if tests && people.positive?

          studies.map { 1.0 / studies.size }
        end

        # The weight of the studies for which the block says so, 0 to 1.
        def weight_of(&) = studies.zip(weights).select { |study, _| yield(study) }.sum(&:last)

        # The pooled value without some studies; nil when nothing is pooled, or fewer than two are
        # left.
        def without(&)
          return unless pooled

          left = studies.reject(&)
          Pooling.call(left, way) if left.size > 1 && left.size < studies.size
        end

        # Array of Statistics::Pooling::Pooled, each without the study of its place; empty for fewer than
        # three.
        def without_each
          pooled.nil? || studies.size < 3 ? [] : Subsets.new(studies, way).without_each
        end

        # Array of Statistics::Pooling::Pooled, of the studies up to each place in order of year.
        def one_by_one = pooled ? Subsets.new(studies, way).up_to_each : []

        # by :: key of GROUPS; kind :: of the question. Gives Statistics::Pooling::Comparisons::Groups, nil
        # where all are alike or nothing is pooled.
        def groups(by, kind)
          labels = studies.map { |study| Labels.of(study, by, kind) }
          return if pooled.nil? || labels.uniq.size < 2

          Subsets.new(studies, way).in_groups(labels)
        end

        # Whether there are enough studies to test whether small ones show something else.
        def enough_to_test? = pooled && studies.size >= Statistics::Pooling::SmallStudyEffects::Egger::FEWEST

        # Egger's test; nil for too few studies, or where there is no variation to test.
        def egger = enough_to_test? ? Statistics::Pooling::SmallStudyEffects::Egger.call(results) : nil

        # Peters' test, of ratios of events that every study counts; nil otherwise, and as above.
        def peters
          enough_to_test? && ratio_of_events? ? Statistics::Pooling::SmallStudyEffects::Peters.call(results) : nil
        end

        # Of ratios of events Egger's test misleads.
        def ratio_of_events?
          measure.ratio? && outcome.kind == "events" && results.all?(&:counts)
        end

        # [its name, the test] by which it is judged: nil for a test that is not there.
        def small_study_test = ratio_of_events? ? [Book.t("appraise.small.peters"), peters] : [Book.t("appraise.small.egger"), egger]

        # What goes on without it, 0 to 1: our own baseline, else the middle of the comparison
        # groups; nil where nobody counts it.
        def baseline
          return outcome.baseline / 100 if outcome.baseline

          Statistics.median(studies.filter_map { |study| study.reported.comparison_risk })
        end

        # [lowest, middle, highest] of the effects one by one, on the scale of pooling.
        def range
          effects = results.map(&:effect)
          [effects.min, Statistics.median(effects), effects.max]
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Together
      # What the results of an outcome say together.
      #
      # outcome :: Outcome; studies :: Array of Study that are counted, in order of year
      # aside :: Array of Study that are not, by hand or since they tell nothing
      # traps :: Array of Trap; pooled :: Statistics::Pooled, nil for fewer than two studies, for a
      #   test,
      #   and while a trap is open; tests :: Statistics::Bivariate::Pooled, for a test only
      class Pool < Value
        attributes :outcome, :studies, :aside, :traps, :pooled, :tests

        # By what papers can be told apart: key to words.
        GROUPS = { design: "how it was made", concern: "concern", people: "people like ours", place: "place like ours",
                   ages: "age", group: "who had it" }.freeze

        def way = outcome.way
        def measure = outcome.measure
        def results = studies.map(&:result)
        def open_traps = traps.select(&:open?)
        def people = studies.filter_map { |study| study.reported.people }.sum
        def events = studies.filter_map { |study| study.reported.events }.sum
        def spread = Statistics::Heterogeneity.new(results)

        # The share of the whole that each study weighs, 0 to 1; of a test, by its people.
        def weights
          return pooled.weights if pooled
          return studies.map do |study|
            study.reported.people.fdiv(people)
          end if tests && people.positive?

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

        # Array of WithoutEach::One; empty for fewer than three.
        def without_each
          return [] if pooled.nil? || studies.size < 3

          Statistics::Comparisons.leave_one_out(results, tau2: (way.model if way.random?))
        end

        # Array of Statistics::Pooled, of the studies up to each place in order of year.
        def one_by_one
          pooled ? Statistics::Comparisons.cumulative(results, **Pooling.how(way, 2),
hartung_knapp: false) : []
        end

        # by :: key of GROUPS; kind :: of the question. Gives Statistics::Comparisons::Groups, nil
        # where all are alike or nothing is pooled.
        def groups(by, kind)
          labels = studies.map { |study| Labels.of(study, by, kind) }
          return if pooled.nil? || labels.uniq.size < 2

          Statistics::Comparisons.groups(results, labels, tau2: (way.model if way.random?))
        end

        # Egger's test; nil for too few studies, or where all are of one size.
        def egger
          (Statistics::Egger.call(results) if pooled && studies.size >= Statistics::Egger::FEWEST)
        end

        # What goes on without it, 0 to 1: our own baseline, else the middle of the comparison
        # groups; nil where nobody counts it.
        def baseline
          return outcome.baseline / 100 if outcome.baseline

          risks = studies.filter_map { |study| study.reported.comparison_risk }.sort
          risks[risks.size / 2]
        end

        # [lowest, middle, highest] of the effects one by one, on the scale of pooling.
        def range
          effects = results.map(&:effect).sort
          half = effects.size / 2
          middle = effects.size.odd? ? effects[half] : (effects[half - 1] + effects[half]) / 2
          [effects.first, middle, effects.last]
        end
      end
    end
  end
end

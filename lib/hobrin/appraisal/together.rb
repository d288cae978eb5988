# frozen_string_literal: true

module Hobrin
  module Appraisal
    # Puts together what papers report for one outcome. While a trap is open (something would count
    # twice, or does not belong) nothing is pooled: see Trap.
    class Together
      # Why a result is not counted, beside the keys of Trap::WORDS.
      WHY = { by_hand: "taken out by hand", nothing: "tells nothing by this measure",
              retracted: "retracted: nothing in it counts as evidence", review: "a review whose " \
                                                                                "studies are here",
              may_include: "a review that may include studies that are here",
              same_people: "the same people are here already", again: "the same people at " \
                                                                      "another time",
              changed: "changes since the start, not end values", design: "not randomized, and " \
                                                                          "trials are here",
              arm_twice: "its groups are put together in another line", turned: "its scale runs the other way",
              irreversible: "its printed ratio cannot be reversed without the risk in the comparison group",
              swapped: "its groups stand the other way round", arms: "it compares other groups than the question does",
              clusters: "cluster-randomised, and not adjusted", crossover: "a crossover trial, and not adjusted" }.freeze

      # outcome :: Outcome; entries :: Array of [Records::Record, Paper, Reported]
      # same :: Hash of a record's id to the ids of papers that report the same people
      # arms :: Arms, the two groups that are compared
      def initialize(outcome, entries, same: {}, arms: outcome.arms)
        @outcome = outcome
        @entries = entries.sort_by do |record, _, reported|
          [record.published.to_s, record.id, reported.number]
        end
        @same = same
        @arms = arms
      end

      # Gives a Pool.
      def call
        studies = @entries.map { |record, paper, reported| study(record, paper, reported) }
        counted, aside = studies.partition do |study|
          study.reported.aside.nil? && (test? || study.result)
        end
        traps = Traps.new(@outcome, counted, same: @same, arms: @arms).call
        Pool.new(outcome: @outcome, arms: @arms, studies: counted, aside:, traps:,
                 **pooled(counted, traps.none?(&:open?)))
      end

      private

      def test? = @outcome.kind == "test"

      def study(record, paper, reported)
        Study.new(record:, paper:, reported:,
                  result: test? ? nil : reported.effect(@outcome.measure))
      end

      def pooled(studies, settled)
        return { pooled: nil, tests: nil } unless settled && @outcome.way.model != :none && studies.any?
        return { pooled: Pooling.call(studies, @outcome.way), tests: nil } unless test?

        { pooled: nil, tests: Statistics::Bivariate.new(studies.map { |study| study.reported.values }).call }
      end
    end
  end
end

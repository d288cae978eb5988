# frozen_string_literal: true

module Hobrin
  module Appraisal
    # Puts together what papers report for one outcome. While a trap is open (something would count
    # twice, or does not belong) nothing is pooled: see Trap.
    class Synthesis
      # Why a result is not counted, beside the keys of IntegrityWarning.
      WHY = Book.names("appraisal.aside", %i[by_hand nothing retracted review may_include same_people again changed design arm_twice
                                             turned irreversible swapped arms clusters crossover])

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
        traps = IntegrityWarnings.new(@outcome, counted, same: @same, arms: @arms).call
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

        { pooled: nil, tests: Statistics::Pooling::Bivariate.new(studies.map { |study| study.reported.values }).call }
      end

      # One result of one paper for an outcome.
      #
      # record :: Records::Record; paper :: Paper; reported :: Reported
      # result :: Statistics::Pooling::Result by the outcome's measure, nil where it tells nothing by it,
      #   and for a test
      class Study < Value
        attributes :record, :paper, :reported, :result

        def id = record.id
        def number = reported.number

        # A short name for lists: the first author and the year; several results of a paper differ
        # by group and time.
        def label = record.short_name

        def apart = [reported.group, reported.time].reject(&:empty?).join(", ")
      end

      # By what a study differs from others, in words.
      module Labels
        NONE = Book.t("appraisal.group_unknown")
        private_constant :NONE

        # study :: Study; by :: key of Pool::GROUPS; kind :: key of the kind of question, or nil
        def self.of(study, by, kind)
          case by
          when :design then Design.fetch(study.paper.design).name
          when :concern then Checklists::Concern::WORDS[study.paper.concern(kind)] || NONE
          when :people, :place then Paper::Applicability::NEAR[study.paper.applies[by]] || NONE
          when :ages then study.record.ages.empty? ? NONE : study.record.ages.join(", ")
          else study.reported.group.empty? ? NONE : study.reported.group
          end
        end
      end

      # Puts results together in the way that an outcome asks for.
      module Pooling
        # From so many studies on the interval is that of Hartung and Knapp: with two it tells nothing
        # (common practice, no source).
        ENOUGH = 3

        class << self
          # studies :: Array of Study, all with a result; way :: Outcome::Way. Gives a
          # Statistics::Pooling::Pooled; nil for fewer than two, or where counts tell nothing.
          def call(studies, way)
            return if studies.size < 2
            return weighed(studies, way) if by_counts?(studies, way)

            inverse(studies.map(&:result), way)
          end

          # Whether the counts themselves are weighed: each study gives them, and it is asked for.
          def by_counts?(studies, way)
            way.model == :mantel_haenszel && studies.all? { |study| study.reported.plain_table }
          end

          # How InverseVariance is to go about it. results :: how many there are
          def how(way, results) = { tau2: tau2(way), **interval(way, results) }

          # results :: Array of Statistics::Pooling::Result, one or more
          def inverse(results, way)
            Statistics::Pooling::InverseVariance.call(results, **how(way, results.size))
          end

          # The variance between studies that is asked for, a key of Statistics::Pooling::Tau2::METHODS.
          def tau2(way) = way.random? ? way.model : nil

          # Of which method and level the interval is.
          def interval(way, results)
            knapp = way.random? && way.knapp && results >= ENOUGH
            { level: way.share, hartung_knapp: knapp && :never_narrower }
          end

          private

          def weighed(studies, way)
            Statistics::Pooling::MantelHaenszel.call(studies.map { |study| study.reported.plain_table }, way.weighed, level: way.share)
          end
        end
      end

      # Parts of the studies of an outcome, each pooled in the same way as the whole.
      class Subsets
        # studies :: Array of Study, two or more, all with a result; way :: Outcome::Way
        def initialize(studies, way)
          @studies = studies
          @way = way
          @by_counts = Pooling.by_counts?(studies, way)
        end

        # Array of Statistics::Pooling::Pooled, each without the study of its place, nil where counts tell
        # nothing.
        def without_each
          return Statistics::Pooling::Comparisons.leave_one_out(results, tau2:, &options) unless @by_counts

          @studies.each_index.map do |place|
            by_counts(@studies.reject.with_index { |_, other| other == place })
          end
        end

        # The same of the studies up to each place.
        def up_to_each
          return Statistics::Pooling::Comparisons.cumulative(results, tau2:, &options) unless @by_counts

          (1..@studies.size).map { |size| by_counts(@studies.first(size)) }
        end

        # labels :: one for each study. Gives Statistics::Pooling::Comparisons::Groups.
        def in_groups(labels)
          return Statistics::Pooling::Comparisons.groups(results, labels, tau2:, &options) unless @by_counts

          groups = @studies.zip(labels).group_by(&:last)
          pooled = groups.transform_values { |group| by_counts(group.map(&:first)) }
          Statistics::Pooling::Comparisons.between(pooled.compact)
        end

        private

        def results = @studies.map(&:result)
        def tau2 = Pooling.tau2(@way)
        def options = ->(size) { Pooling.interval(@way, size) }

        # One study stands by its own effect.
        def by_counts(studies)
          Pooling.call(studies, @way) || Pooling.inverse(studies.map(&:result), @way)
        end
      end
    end
  end
end

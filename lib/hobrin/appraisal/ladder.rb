# frozen_string_literal: true

module Hobrin
  module Appraisal
    # The papers of a set by how strongly they can answer a kind of question: guidelines and other
    # summaries, then systematic reviews, then the levels of the OCEBM 2011 table by design, then
    # what the table does not place, and last what is set aside from the start. The rungs do not
    # overlap and are together the set; those without papers are left out.
    class Ladder
      # key :: a String; name :: in words; why :: where its place comes from, in a sentence
      # papers :: Records::RecordSet
      class Rung < Value
        attributes :key, :name, :why, :papers

        def aside? = key == ASIDE
      end

      ASIDE = "aside"
      # For kinds of question that the table does not cover: the designs of each rung, from the
      # strongest, by the key of its name. Common practice, no source.
      ORDERS = {
        "experience" => { qualitative: %w[qualitative], surveys: %w[cross_sectional] },
        "prediction" => { cohorts_of_a_rule: %w[inception_cohort cohort diagnostic], other_studies: %w[case_control cross_sectional] },
        "cost" => { evaluations: %w[cost], trials: %w[randomized_trial controlled_trial],
                    cohorts: %w[inception_cohort cohort before_after] }
      }.freeze
      private_constant :ORDERS

      # set :: RecordSet; kind :: key of the kind of question, or nil; index :: a Retrieval index;
      # doubles :: the RecordSet of those that are the same paper once more
      def initialize(set, kind, index, doubles: Records::RecordSet.empty)
        @doubles = doubles
        @left = set
        @kind = kind
        @types = index.sets(:type)
        @retracted = index.facet(:flag, [Records::Flags::RETRACTED])
      end

      # Gives an Array of Rung, from the top.
      def call
        aside = take(@retracted | @doubles | of_designs(%w[protocol]))
        [rung("summaries", text("summaries"), text("summaries_why"), designs: %w[guideline]),
         rung("reviews", text("reviews"), text("reviews_why"), designs: %w[systematic_review]), *graded,
         Rung.new(key: "unplaced", name: text("unplaced"), why: text("unplaced_why"), papers: take(@left)),
         Rung.new(key: ASIDE, name: text("aside"), why: text("aside_why"), papers: aside)]
          .reject { |rung| rung.papers.empty? }
      end

      private

      def graded
        return own(ORDERS.fetch(@kind)) if ORDERS.key?(@kind)

        Level.by_design(@kind).group_by(&:last).sort.map do |level, rows|
          rung("level-#{level}", Book.t("appraisal.level.name", number: level), text("by_table"), designs: rows.map(&:first))
        end
      end

      def own(order)
        order.each_with_index.map do |(name, designs), index|
          rung("own-#{index + 1}", text("own.#{name}"), text("own_why"), designs:)
        end
      end

      def text(key) = Book.t("appraisal.ladder.#{key}")

      def rung(key, name, why, designs:)
        Rung.new(key:, name:, why:, papers: take(of_designs(designs)))
      end

      # A paper stands on the highest rung that any of its study types gives it.
      def take(papers)
        found = papers & @left
        @left -= found
        found
      end

      def of_designs(keys)
        types = keys.flat_map { |key| Design.fetch(key).types }
        Records::RecordSet.union(types.filter_map { |type| @types[type] })
      end

      # Up to three papers to read before all others: from the highest rung down, on each the newest;
      # of one year, the one that is closest to the search. Nothing that is set aside.
      module ReadFirst
        # record :: Records::Record; rung :: Ladder::Rung; newest :: whether it is the newest on it;
        #   closest :: whether it is also the closest to the search there
        class Choice < Value
          attributes :record, :rung, :newest, :closest
        end

        MOST = 3

        class << self
          # rungs :: Array of Ladder::Rung. The block is given a Rung and gives its newest papers as
          #   an Array of [Record, closeness: the higher the closer]. Gives an Array of Choice.
          def call(rungs)
            rungs.reject(&:aside?).reduce([]) do |found, rung|
              break found if found.size == MOST

              found + choices(rung, yield(rung)).first(MOST - found.size)
            end
          end

          private

          def choices(rung, papers)
            closest = papers.max_by { |_, closeness| closeness }&.first
            sorted = papers.sort_by.with_index { |(record, near), place| [record.year.to_i, near, -place] }.reverse
            sorted.each_with_index.map do |(record, _), place|
              Choice.new(record:, rung:, newest: place.zero?, closest: record.id == closest.id)
            end
          end
        end
      end

      # Puts papers in the order of the studies that answer a kind of question best.
      module StrongestFirst
        # set :: RecordSet; kind :: key of the kind of question, or nil; evaluator :: Evaluator
        # Gives an Array of RecordSet that do not overlap and are together the set: one for each study
        # type from the strongest, then those of no such type.
        def self.call(set, kind, evaluator)
          left = set
          sorted = Level.types(kind).filter_map { |type| evaluator.index.sets(:type)[type] }.map do |papers|
            (papers & left).tap { |these| left -= these }
          end
          [*sorted, left].reject(&:empty?)
        end
      end
    end
  end
end

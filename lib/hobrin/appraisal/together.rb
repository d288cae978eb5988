# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What the weighed papers say together on one outcome, and which of them must not be counted with
    # the others: a review whose trials are here, a second report of the same people, a retracted
    # paper, a design that does not belong with randomized trials, and what a person takes out.
    class Together
      # record :: Records::Record; paper :: Paper; result :: Statistics::Result
      class Study < Value
        attributes :record, :paper, :result
      end

      # why :: a key of WHY; of :: the Records that it is about
      class LeftOut < Value
        attributes :record, :paper, :why, :of
      end

      # name :: of the outcome; studies :: Array of Study, left_out :: Array of LeftOut
      # pooled :: Statistics::Pooled, nil for fewer than two studies; without_each :: Array of Pooled,
      # each without the study of its place; spread :: Statistics::Heterogeneity
      class Pool < Value
        attributes :name, :studies, :left_out, :pooled, :without_each, :spread, :baseline
      end

      WHY = { by_hand: "taken out here", retracted: "retracted: nothing in it counts as evidence",
              review: "its trials are here: they would count twice",
              same_people: "the same people are here already",
              design: "not randomized, and trials are here", nothing: "tells nothing of a ratio" }.freeze
      RANDOMIZED = %w[randomized_trial systematic_review].freeze
      # From so many studies on the interval is that of Hartung and Knapp: with two it tells nothing
      # (common practice, no source).
      ENOUGH = 3
      private_constant :RANDOMIZED, :ENOUGH

      # entries :: Array of [Records::Record, Paper with a table]; measure :: one of
      #   Statistics::TwoGroups::MEASURES; without :: ids that are taken out; same :: Hash of an id to
      #   the ids of papers that report the same people
      def initialize(entries, measure: :log_risk_ratio, without: [], same: {})
        @entries = entries
        @measure = measure
        @without = without
        @same = same
      end

      # Gives an Array of Pool, one for each outcome. Outcomes are one when they begin with the same
      # word: "Delirium in intensive care" and "Delirium after heart surgery".
      def call
        by_name = @entries.group_by { |_, paper| Text::Tokens.of(paper.outcome).first.to_s }
        by_name.map { |_, some| pool(some) }.sort_by { |one| [-one.studies.size, one.name] }
      end

      private

      def pool(entries)
        why = entries.to_h { |record, _| [record.id, reason(record, entries)] }
        in_it, out = entries.partition { |record, _| why[record.id].nil? }
        studies = in_it.map { |record, paper| Study.new(record:, paper:, result: result(paper)) }
        left_out = out.map { |record, paper| LeftOut.new(record:, paper:, **why[record.id]) }
        Pool.new(name: name(entries), studies:, left_out:, **put_together(studies))
      end

      def name(entries)
        names = entries.map { |_, paper| paper.outcome.strip }.reject(&:empty?)
        names.min_by { |name| [-names.count(name), name.size] } || "An outcome without a name"
      end

      def put_together(studies)
        results = studies.map(&:result)
        how = { tau2: :reml, hartung_knapp: results.size >= ENOUGH && :never_narrower }
        several = results.size > 1
        { pooled: several ? Statistics::InverseVariance.call(results, **how) : nil,
          without_each: results.size > 2 ? Statistics::Comparisons.leave_one_out(results, tau2: :reml) : [],
          spread: Statistics::Heterogeneity.new(results), baseline: baseline(studies) }
      end

      # The middle of the risks in the comparison groups; nil without studies.
      def baseline(studies)
        risks = studies.map { |study| study.paper.table.comparison_risk }.sort
        risks[risks.size / 2] unless risks.empty?
      end

      def result(paper) = Statistics::TwoGroups.call(paper.table, @measure)

      # Why a paper is left out, nil when it is not: { why:, of: }.
      def reason(record, entries)
        paper = entries.find { |other, _| other.id == record.id }.last
        others = entries.reject { |other, _| other.id == record.id || @without.include?(other.id) }
        return { why: :by_hand, of: [] } if @without.include?(record.id)
        return { why: :retracted, of: [] } if record.retracted?
        return { why: :nothing, of: [] } if result(paper).nil?

        cited(record, paper, others) || told_before(record, others) || other_design(paper, others)
      end

      def cited(record, paper, others)
        return unless paper.design == "systematic_review"

        trials = others.filter_map { |other, _| other if record.cites.include?(other.id) }
        { why: :review, of: trials } if trials.any?
      end

      # The earlier report stays.
      def told_before(record, others)
        same = others.filter_map { |other, _| other if @same.fetch(record.id, []).include?(other.id) }
        earlier = same.select do |other|
          [other.published.to_s, other.id].<=>([record.published.to_s, record.id]).negative?
        end
        { why: :same_people, of: earlier } if earlier.any?
      end

      def other_design(paper, others)
        return if RANDOMIZED.include?(paper.design)

        trials = others.filter_map { |other, one| other if one.design == "randomized_trial" }
        { why: :design, of: trials } if trials.any?
      end
    end
  end
end

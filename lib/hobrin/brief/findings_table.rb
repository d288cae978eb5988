# frozen_string_literal: true

module Hobrin
  class Brief
    # The table of findings: one line for each outcome, and the findings of experience studies.
    class FindingsTable
      include Text::Numerals

      # A line: compared :: who with whom, nil for a share or a test; papers, people, effect, without, with, words :: in words, "" where there is none
      # level, certainty :: 1 to 4 and its word, nil where no paper is counted
      class Line < Value
        attributes :outcome, :compared, :matters, :papers, :people, :effect, :measure, :without, :with, :level,
                   :certainty, :words
      end

      # rows :: Array of Appraisal::Findings::Row; findings :: Array of [Appraisal::Finding,
      #   Appraisal::Finding::Confidence]
      attr_reader :rows, :findings

      def initialize(rows:, findings:)
        @rows = rows
        @findings = findings
      end

      def lines = @lines ||= rows.map { |row| line(row) }

      def any? = lines.any? || findings.any?

      private

      def line(row)
        pool = row.pool
        Line.new(outcome: row.outcome, compared: (pool.arms.words if row.outcome.sort.compares?),
                 matters: Appraisal::Outcome::MATTERS.fetch(row.outcome.matters),
                 papers: pool.studies.size,
                 people: people(pool),
                 effect: effect(row), measure: pool.measure.name, **hundred(row), level: row.certainty&.level,
                 certainty: row.certainty&.word, words: words(row))
      end

      # Of how many papers they are, where some do not say how many people they are about.
      def people(pool)
        return "" unless pool.people.positive?

        giving = pool.studies.count { |study| study.reported.people }
        giving == pool.studies.size ? number(pool.people) : Book.t("brief.findings.people_in", people: pool.people, papers: giving)
      end

      def effect(row)
        told = Words::OfResult.new(row.pool.measure)
        return test(row.pool) if row.pool.tests
        return "#{told.of(row.effect)}#{told.unit}" if row.effect
        return "" if row.pool.studies.empty?

        Book.t("brief.findings.#{row.pool.open_traps.any? ? "open_warning" : "not_pooled"}")
      end

      def test(pool)
        %i[sensitivity specificity].map do |name|
          Book.t("appraise.result.#{name}", interval: share(pool.tests.public_send(name)))
        end.join(", ")
      end

      def share(interval)
        Book.t("brief.interval", estimate: points(interval.estimate), low: points(interval.low), high: points(interval.high))
      end

      def hundred(row)
        numbers = row.hundred
        return { without: "", with: "" } unless numbers

        without, with, *ends = numbers.map { |share| (100 * share).round }
        { without: without.to_s, with: Book.t("brief.interval", estimate: with, low: ends.min, high: ends.max) }
      end

      def words(row)
        return row.words if row.words
        return "" unless row.certainty

        case row.outcome.kind
        when "test" then row.pool.tests ? test_words(row) : ""
        when "share" then row.effect ? share_words(row) : ""
        else ""
        end
      end

      # By the low and high end, never by the middle alone.
      def certainty_key(row) = { 4 => :high, 3 => :moderate, 2 => :low, 1 => :very_low }.fetch(row.certainty.level)

      def share_words(row)
        low, high = [row.effect.low, row.effect.high].map do |value|
          row.pool.measure.told(value).round
        end
        Book.t("brief.findings.share.#{certainty_key(row)}", low:, high:)
      end

      def test_words(row)
        sensitivity = row.pool.tests.sensitivity
        low, high = [sensitivity.high, sensitivity.low].map { |share| (100 * (1 - share)).round }
        Book.t("brief.findings.test.#{certainty_key(row)}", low:, high:)
      end
    end
  end
end

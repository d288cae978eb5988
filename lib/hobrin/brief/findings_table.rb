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
        giving == pool.studies.size ? number(pool.people) : "#{number(pool.people)} in #{giving} of them"
      end

      def effect(row)
        told = Words::OfResult.new(row.pool.measure)
        return test(row.pool) if row.pool.tests
        return "#{told.of(row.effect)}#{told.unit}" if row.effect
        return "" if row.pool.studies.empty?

        row.pool.open_traps.any? ? "a trap is open" : "one by one"
      end

      def test(pool)
        %i[sensitivity specificity].map { |name| "#{name} #{share(pool.tests.public_send(name))}" }.join(", ")
      end

      def share(interval)
        "#{points(interval.estimate)} (#{points(interval.low)} to #{points(interval.high)}) " \
          "of 100"
      end

      def hundred(row)
        numbers = row.hundred
        return { without: "", with: "" } unless numbers

        without, with, *ends = numbers.map { |share| (100 * share).round }
        { without: without.to_s, with: "#{with} (#{ends.min} to #{ends.max})" }
      end

      def words(row)
        return row.words if row.words
        return "" unless row.certainty

        sure = { 4 => "", 3 => "probably ", 2 => "perhaps ",
                 1 => "not known: " }.fetch(row.certainty.level)
        case row.outcome.kind
        when "test" then row.pool.tests ? test_words(row, sure) : ""
        when "share" then row.effect ? share_words(row, sure) : ""
        else ""
        end
      end

      # By the low and high end, never by the middle alone.
      def share_words(row, sure)
        low, high = [row.effect.low, row.effect.high].map do |value|
          row.pool.measure.told(value).round
        end
        capital("#{sure}#{low} to #{high} of 100")
      end

      def test_words(row, sure)
        missed = row.pool.tests.sensitivity
        capital("#{sure}misses #{(100 * (1 - missed.high)).round} to #{(100 * (1 - missed.low)).round} " \
                "of 100 who have it")
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Brief
    # What the included papers compared, and whether any names the comparison that the question asks
    # for.
    class Compared
      # question :: Question; rows :: Array of EvidenceRow
      def initialize(question, rows)
        @question = question
        @rows = rows
      end

      # Each comparison once, with the papers that made it: "earplugs compared with usual care
      # (Quarrel 2021)".
      def lines
        pairs = @rows.flat_map { |row| comparisons(row).map { |words| [words, row.record.short_name] } }
        pairs.group_by(&:first).map { |words, named| "#{words} (#{named.map(&:last).uniq.join(", ")})" }
      end

      # The name of the question's comparison where no included paper names it; nil where one does, and
      # where it is usual care. What papers call their two groups counts; where they name none, title and
      # abstract.
      def absent
        name = @question.element("C")&.name.to_s
        return if @rows.empty? || CloseReading::Arms.general?(name)

        name if @rows.none? { |row| about?(row, name) }
      end

      private

      def comparisons(row)
        row.results.filter_map do |result|
          groups = [result.reported.group, result.reported.comparison]
          Book.t("brief.compared_with", one: groups.first, other: groups.last) if groups.none?(&:empty?)
        end.uniq
      end

      def about?(row, name)
        words = CloseReading::Arms.telling(name)
        names = names(row)
        texts = names.empty? ? [row.record.title, row.record.abstract] : names
        texts.any? { |text| CloseReading::Arms.telling(text).intersect?(words) }
      end

      # What a paper's results, or their outcomes, call the two groups.
      def names(row)
        row.results.flat_map do |result|
          arms = result.outcome&.arms
          [result.reported.group, result.reported.comparison, arms&.intervention, arms&.comparison].compact.reject(&:empty?)
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Screening
    # Papers that two people have both read, each without seeing what the other decided.
    #
    # pairs :: Array of Pair
    class DualScreening < Value
      attributes :pairs

      # One paper: first, second :: Decision of the first and of the second reader
      class Pair < Value
        attributes :first, :second

        def record_id = first.record_id
        def agree? = first.verdict == second.verdict

        # What holds when the two agree: for two reasons, that of the first reader.
        def agreed
          agree? ? first.with(note: [first.note, second.note].reject(&:empty?).uniq.join(" / ")[0, FieldLengths.of(:decision_note)]) : nil
        end
      end

      # In the order in which they stand apart.
      VERDICTS = %i[keep unsure drop].freeze

      def differing = pairs.reject(&:agree?)

      # Statistics::Agreement of what was decided, by VERDICTS.
      def agreement
        Statistics::Agreement.new(table(VERDICTS, pairs, &:verdict))
      end

      # [reasons, Statistics::Agreement] of why, for papers that both dropped; nil for fewer than
      #   two reasons.
      def reasons
        dropped = pairs.select { |pair| [pair.first, pair.second].all? { |decision| decision.verdict == :drop } }
        names = dropped.flat_map { |pair| [pair.first.reason, pair.second.reason] }.uniq.sort
        [names, Statistics::Agreement.new(table(names, dropped, &:reason))] if names.size > 1
      end

      # What the numbers say, as an Array of sentences.
      def words
        return [Book.t("screening.dual.nothing_yet")] if pairs.empty?

        said = Statistics::Agreement::Words.new(agreement, what: Book.t("screening.dual.decisions"))
        [Book.t("screening.dual.agreement", count: pairs.size, agreed: said.agreed, by_chance: said.by_chance), *said.kappa]
      end

      private

      def table(names, pairs)
        counts = pairs.map { |pair| [yield(pair.first), yield(pair.second)] }.tally
        names.map { |row| names.map { |column| counts.fetch([row, column], 0) } }
      end
    end
  end
end

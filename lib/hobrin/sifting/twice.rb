# frozen_string_literal: true

module Hobrin
  module Sifting
    # Papers that two people have both read, each without seeing what the other decided.
    #
    # pairs :: Array of Pair
    class Twice < Value
      attributes :pairs

      # One paper: first, second :: Decision of the first and of the second reader
      class Pair < Value
        attributes :first, :second

        def record_id = first.record_id
        def agree? = first.verdict == second.verdict

        # What holds when the two agree: for two reasons, that of the first reader.
        def agreed
          agree? ? first.with(note: [first.note, second.note].reject(&:empty?).uniq.join(" / ")[0, LONGEST]) : nil
        end

        LONGEST = Decision::LONGEST_NOTE
        private_constant :LONGEST
      end

      # In the order in which they stand apart.
      VERDICTS = %i[keep unsure drop].freeze
      # Above this share of one verdict kappa says little.
      ONE_SIDED = 0.85
      private_constant :ONE_SIDED

      def differing = pairs.reject(&:agree?)

      # Statistics::Agreement of what was decided, by VERDICTS.
      def agreement
        Statistics::Agreement.new(table(VERDICTS, pairs, &:verdict))
      end

      # [reasons, Statistics::Agreement] of why, for papers that both dropped; nil for fewer than
      #   two reasons.
      def reasons
        dropped = pairs.select { |pair| [pair.first, pair.second].all? { |one| one.verdict == :drop } }
        names = dropped.flat_map { |pair| [pair.first.reason, pair.second.reason] }.uniq.sort
        [names, Statistics::Agreement.new(table(names, dropped, &:reason))] if names.size > 1
      end

      # What the numbers say, as an Array of sentences.
      def words
        said = agreement
        return ["Nobody has read a paper a second time yet."] if said.total.zero?

        [agreed_words(said), kappa_words(said), *one_sided(said)]
      end

      private

      def table(names, pairs)
        counts = pairs.map { |pair| [yield(pair.first), yield(pair.second)] }.tally
        names.map { |one| names.map { |two| counts.fetch([one, two], 0) } }
      end

      def agreed_words(said)
        papers = said.total == 1 ? "1 paper" : "#{said.total} papers"
        "Both have read #{papers} and agree on #{said.agreed} (#{percent(said.share)}). By how often " \
          "each keeps and drops, chance alone would give #{percent(said.by_chance)}."
      end

      def kappa_words(said)
        kappa = said.kappa or return "Both gave one verdict to all of them, so kappa says nothing."

        "Kappa is #{decimal(kappa.value)} (95 % from #{decimal(kappa.interval.low)} to " \
          "#{decimal(kappa.interval.high)}): #{share_words(kappa.value)}"
      end

      def share_words(value)
        return "they agree less often than by chance. Talk before you go on." if value.negative?

        "of what chance leaves open, they agree on #{percent(value)}."
      end

      def one_sided(said)
        return [] if said.prevalence < ONE_SIDED || said.kappa.nil?

        ["#{percent(said.prevalence)} of all verdicts are the same one. Kappa is then low though the two " \
         "agree: do not lean on it. With every verdict as frequent as the others it would be " \
         "#{decimal(said.adjusted)}."]
      end

      def percent(share) = "#{(share * 100).round} %"
      def decimal(number) = format("%.2f", number).sub("-", "−")
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Statistics
    # How far two readers agree who put the same papers into the same kinds. What two would agree on
    # by chance, by how often each uses each kind, is told apart from the rest.
    class Agreement
      # weights :: of how near two kinds are, from 0 to 1, by their places and how many kinds there
      #   are
      WEIGHTS = {
        none: ->(one, two, _kinds) { one == two ? 1.0 : 0.0 },
        linear: ->(one, two, kinds) { 1 - ((one - two).abs / (kinds - 1.0)) },
        quadratic: ->(one, two, kinds) { 1 - (((one - two) / (kinds - 1.0))**2) }
      }.freeze
      private_constant :WEIGHTS

      # value :: from -1 to 1; error :: its standard error; interval :: Interval, of 95 %
      class Kappa < Value
        attributes :value, :error, :interval
      end

      # table :: square Array of Arrays of whole numbers: rows by what the first reader said,
      #   columns by what the second did; kinds in their order where they have one. Raises
      #   ArgumentError for one that is not square, or smaller than two.
      def initialize(table)
        kinds = table.size
        raise ArgumentError, "the table is not square" unless kinds > 1 && table.all? { |row| row.size == kinds }

        @table = table.map { |row| row.dup.freeze }.freeze
        freeze
      end

      attr_reader :table

      def total = table.flatten.sum
      def agreed = table.each_index.sum { |kind| table[kind][kind] }

      # Of one; nil without papers.
      def share = total.zero? ? nil : agreed.fdiv(total)

      # What two would agree on by chance alone, of one; nil without papers.
      def by_chance = total.zero? ? nil : weighted_chance(weights(:none))

      # Cohen's kappa, or weighted by how far apart two kinds are (:linear, :quadratic), with its
      # error and interval after Fleiss, Cohen and Everitt (1969). A Kappa; nil when there is
      # nothing but what chance gives, as when both use one kind only.
      def kappa(weighting = :none)
        weights = weights(weighting)
        chance = weighted_chance(weights) unless total.zero?
        return if chance.nil? || (1 - chance).abs < 1e-12

        value = (sum { |one, two| weights[one][two] * part(one, two) } - chance) / (1 - chance)
        error = error(weights, value, chance)
        of_kappa(value, error)
      end

      # Prevalence- and bias-adjusted kappa: as it would be if every kind were as frequent as every
      # other (Byrt, Bishop and Carlin 1993, for more than two kinds by the same formula, which is
      # Brennan and Prediger's), with the error of the share that agrees. A Kappa; nil without
      # papers.
      def adjusted
        return unless share

        kinds = table.size.to_f
        of_kappa(((kinds * share) - 1) / (kinds - 1),
                 kinds / (kinds - 1) * Math.sqrt(share * (1 - share) / total))
      end

      # Gwet's AC1, whose chance agreement does not rise where nearly all are of one kind, with his
      # error (Gwet, Br J Math Stat Psychol 2008;61:29; from memory). A Kappa; nil without papers.
      def ac1
        return unless share

        means = rows.zip(columns).map { |pair| pair.sum / 2 }
        chance = means.sum { |mean| mean * (1 - mean) } / (table.size - 1)
        value = (share - chance) / (1 - chance)
        of_kappa(value, ac1_error(means, chance, value))
      end

      # How much of all the most frequent kind is, over both readers, of one; nil without papers.
      def prevalence
        total.zero? ? nil : table.each_index.map { |kind| (rows[kind] + columns[kind]) / 2 }.max
      end

      private

      def of_kappa(value, error)
        Kappa.new(value:, error:, interval: interval(value, Distributions::Normal::Z95 * error))
      end

      def ac1_error(means, chance, value)
        others = table.size - 1.0
        agreed = table.each_index.sum { |kind| part(kind, kind) * (1 - means[kind]) } / others
        all = sum { |one, two| part(one, two) * ((1 - ((means[one] + means[two]) / 2))**2) } / (others**2)
        left = 1 - value
        spread = (share * (1 - share)) - (4 * left * (agreed - (share * chance))) + (4 * (left**2) * (all - (chance**2)))
        Math.sqrt([spread, 0].max / total) / (1 - chance)
      end

      def part(one, two) = table[one][two].fdiv(total)
      def rows = table.map { |row| row.sum.fdiv(total) }
      def columns = table.transpose.map { |column| column.sum.fdiv(total) }
      def sum(&) = table.each_index.to_a.product(table.each_index.to_a).sum(&)

      def interval(value, reach)
        Interval.new(estimate: value, low: [value - reach, -1.0].max, high: [value + reach, 1.0].min)
      end

      def weights(weighting)
        weight = WEIGHTS.fetch(weighting)
        table.each_index.map { |one| table.each_index.map { |two| weight[one, two, table.size] } }
      end

      def weighted_chance(weights)
        rows, columns = rows(), columns()
        sum { |one, two| weights[one][two] * rows[one] * columns[two] }
      end

      def error(weights, kappa, chance)
        of_row, of_column = means(weights, columns), means(weights.transpose, rows)
        spread = sum do |one, two|
          part(one, two) * ((weights[one][two] - ((of_row[one] + of_column[two]) * (1 - kappa)))**2)
        end
        left = spread - ((kappa - (chance * (1 - kappa)))**2)
        Math.sqrt([left, 0].max / total) / (1 - chance)
      end

      # The mean weight of each kind over how often the other reader uses each.
      def means(weights, shares)
        weights.map { |row| row.zip(shares).sum { |weight, share| weight * share } }
      end

      # What an Agreement says, in sentences.
      class Words
        # Above this share of one kind a kappa below LOW says little (common practice, no source).
        ONE_SIDED = 0.85
        LOW = 0.6
        private_constant :ONE_SIDED, :LOW

        # agreement :: Agreement; what :: the kinds in a word, such as "verdicts"; weighting :: as
        #   Agreement#kappa takes it; of :: what kappa is told of, where that is not plain
        def initialize(agreement, what:, weighting: :none, of: nil)
          @agreement = agreement
          @what = what
          @kappa = agreement.kappa(weighting)
          name = Book.t("statistics.agreement.#{weighting == :none ? "kappa" : "weighted_kappa"}")
          @name = of ? Book.t("statistics.agreement.kappa_of", kappa: name, of:) : name
        end

        # "agree on 9 (90 %)"
        def agreed = Book.t("statistics.agreement.agree", count: @agreement.agreed, percent: percent(@agreement.share))

        def by_chance = Book.t("statistics.agreement.by_chance", percent: percent(@agreement.by_chance))

        # Array of sentences; none without papers.
        def kappa
          return [] if @agreement.total.zero?

          [@kappa ? value : Book.t("statistics.agreement.all_same", what: @what), *one_sided]
        end

        private

        def value
          low, high = [@kappa.interval.low, @kappa.interval.high].map { |bound| decimal(bound) }
          facts = { kappa: @name, value: decimal(@kappa.value), low:, high: }
          return Book.t("statistics.agreement.below_chance", **facts) if @kappa.value.negative?

          Book.t("statistics.agreement.value", **facts, percent: percent(@kappa.value))
        end

        # Only where kappa is low is that put down to one kind being so frequent.
        def one_sided
          return [] if @agreement.prevalence < ONE_SIDED || @kappa.nil? || @kappa.value >= LOW

          [Book.t("statistics.agreement.one_sided", percent: percent(@agreement.prevalence), what: @what,
                                                    adjusted: told(@agreement.adjusted), ac1: told(@agreement.ac1))]
        end

        # "0.84 (0.71 to 0.97)"
        def told(kappa)
          "#{decimal(kappa.value)} (#{decimal(kappa.interval.low)} to #{decimal(kappa.interval.high)})"
        end

        def percent(share) = "#{(share * 100).round} %"
        def decimal(number) = format("%.2f", number).sub("-", "−")
      end
    end
  end
end

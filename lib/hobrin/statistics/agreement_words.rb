# frozen_string_literal: true

module Hobrin
  module Statistics
    # What an Agreement says, in sentences.
    class AgreementWords
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
        @name = [weighting == :none ? "Kappa" : "Weighted kappa", *of].join(" of ")
      end

      # "agree on 9 (90 %)"
      def agreed = "agree on #{@agreement.agreed} (#{percent(@agreement.share)})"

      def by_chance = "chance alone would give #{percent(@agreement.by_chance)}"

      # Array of sentences; none without papers.
      def kappa
        return [] if @agreement.total.zero?

        [@kappa ? value : "All #{@what} are the same one, so kappa says nothing.", *one_sided]
      end

      private

      def value
        low, high = [@kappa.interval.low, @kappa.interval.high].map { |one| decimal(one) }
        "#{@name} is #{decimal(@kappa.value)} (95 % from #{low} to #{high}): #{meaning(@kappa.value)}"
      end

      def meaning(value)
        return "they agree less often than by chance. Talk before you go on." if value.negative?

        "of what chance leaves open, they agree on #{percent(value)}."
      end

      # Only where kappa is low is that put down to one kind being so frequent.
      def one_sided
        return [] if @agreement.prevalence < ONE_SIDED || @kappa.nil? || @kappa.value >= LOW

        ["#{percent(@agreement.prevalence)} of all #{@what} are the same one, which makes kappa low although the two agree. " \
         "Prevalence- and bias-adjusted kappa is #{told(@agreement.adjusted)}, Gwet's AC1 #{told(@agreement.ac1)}."]
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

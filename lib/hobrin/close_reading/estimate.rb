# frozen_string_literal: true

module Hobrin
  module CloseReading
    # An effect as a text prints it: "risk ratio 0.64, 95% CI 0.43 to 0.95; p = 0.03".
    #
    # measure :: :risk_ratio, :odds_ratio, :hazard_ratio, :rate_ratio, :mean_difference or
    #   :risk_difference; value, low, high :: Printed, the last two nil without an interval
    # level :: of the interval in per cent; p :: [relation, Printed] or nil
    class Estimate < Value
      attributes :measure, :value, :low, :high, :level, :p, :sentence, :match

      NAMES = { "risk ratio" => :risk_ratio, "relative risk" => :risk_ratio, "rr" => :risk_ratio,
                "odds ratio" => :odds_ratio, "or" => :odds_ratio, "hazard ratio" => :hazard_ratio, "hr" => :hazard_ratio,
                "rate ratio" => :rate_ratio, "irr" => :rate_ratio, "mean difference" => :mean_difference,
                "md" => :mean_difference, "risk difference" => :risk_difference,
                "absolute difference" => :risk_difference }.freeze
      NAME = /(?:risk|odds|hazard|rate) ratio|relative risk|(?:mean|risk|absolute) difference|(?-i:\b(?:RR|HR|IRR|MD|OR)\b)/i
      NUMBER = Printed::PATTERN
      INTERVAL = /(?<level>\d\d(?:[.·]\d)?)\s?%\s?(?:confidence interval|CI)s?\s?[:,=]?\s?[(\[]?\s?(?:from )?(?<low>#{NUMBER})\s?%?\s?(?:to|-|–|;|,)\s?(?<high>#{NUMBER})/i
      P = /\bp\s?(?<relation>[=<>≤≥])\s?(?<p>\d?[.·]\d+|\d+(?:[.·]\d+)?)/i
      PATTERN = /(?<name>#{NAME})(?: (?:was|of|is)|\s?[=:])?\s?[,(]?\s?(?<value>#{NUMBER})(?![\d%])(?:[^.;\d]{0,12}#{INTERVAL})?(?:[^.\d]{0,10}#{P})?/i
      private_constant :NAMES, :NAME, :NUMBER, :INTERVAL, :P, :PATTERN

      class << self
        # All that a sentence gives, in order.
        def all_in(sentence)
          found = []
          sentence.text.scan(PATTERN) { found << Regexp.last_match }
          found.map { |match| of(sentence, match) }
        end

        private

        def of(sentence, match)
          value, low, high = [match[:value], match[:low], match[:high]].map { |text| text && Printed.read(text) }
          new(measure: NAMES.fetch(match[:name].downcase), value:, low:, high:, level: match[:level]&.tr("·", ".")&.to_f,
              p: match[:p] && [match[:relation], Printed.read(match[:p])], sentence:, match:)
        end
      end

      def ratio? = measure.end_with?("ratio")

      # The value that means no difference.
      def null = ratio? ? 1.0 : 0.0
      def interval? = !low.nil?
    end
  end
end

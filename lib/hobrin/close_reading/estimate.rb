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
                "odds ratio" => :odds_ratio, "or" => :odds_ratio, "hazard ratio" => :hazard_ratio,
                "hr" => :hazard_ratio,
                "rate ratio" => :rate_ratio, "irr" => :rate_ratio, "mean difference" => :mean_difference,
                "md" => :mean_difference, "risk difference" => :risk_difference,
                "absolute difference" => :risk_difference }.freeze
      SPELLED = /(?:risk|odds|hazard|rate) ratio|relative risk|(?:mean|risk|absolute) difference/i
      NAME = /#{SPELLED}|\b(?:RR|HR|IRR|MD|OR)\b/
      NUMBER = Printed::PATTERN
      LEVEL = /(?<level>\d\d(?:[.·]\d)?)\s?%\s?(?:confidence interval|CI)s?/i
      LIMITS = /(?<low>#{NUMBER})\s?%?\s?(?:to|-|–|;|,)\s?(?<high>#{NUMBER})/i
      INTERVAL = /#{LEVEL}\s?[:,=]?\s?[(\[]?\s?(?:from )?#{LIMITS}/
      P = /\bp\s?(?<relation>[=<>≤≥])\s?(?<p>\d?[.·]\d+|\d+(?:[.·]\d+)?)/i
      VALUE = /(?<name>#{NAME})(?: (?:was|of|is)|\s?[=:])?\s?[,(]?\s?(?<value>#{NUMBER})(?![\d%])/
      PATTERN = /#{VALUE}(?:[^.\d]{0,12}#{INTERVAL})?(?:[^.\d]{0,10}#{P})?/
      private_constant :NAMES, :SPELLED, :NAME, :NUMBER, :LEVEL, :LIMITS, :INTERVAL, :P, :VALUE, :PATTERN

      class << self
        # All that a sentence gives, in order.
        def all_in(sentence) = sentence.matches(PATTERN).map { |match| of(sentence, match) }

        # The levels of intervals that a text names, in per cent, each once.
        def levels(text) = text.scan(LEVEL).flatten.map { |level| level.tr("·", ".").to_f }.uniq

        private

        def of(sentence, match)
          value, low, high = [match[:value], match[:low], match[:high]].map do |text|
            text && Printed.read(text)
          end
          new(measure: NAMES.fetch(match[:name].downcase), value:, low:, high:,
              level: match[:level]&.tr("·", ".")&.to_f,
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

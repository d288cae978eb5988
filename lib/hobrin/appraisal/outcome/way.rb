# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Outcome
      # How the results of an outcome are put together.
      #
      # measure :: key of a Measure; model :: key of MODELS
      # knapp :: whether the interval of a random model is Hartung and Knapp's, never narrower than
      #   without; level :: of the intervals in hundredths, one of LEVELS
      class Way < Value
        attributes :measure, :model, :knapp, :level

        MODELS = { reml: "effects that vary, restricted maximum likelihood", dl: "effects that " \
                                                                                 "vary, DerSimonian–Laird",
                   pm: "effects that vary, Paule–Mandel", fixed: "one effect, by inverse variance",
                   mantel_haenszel: "one effect, Mantel–Haenszel", none: "not at all: one by one" }.freeze
        RANDOM = %i[reml dl pm].freeze
        LEVELS = [90, 95, 99].freeze
        # The measures that counts are weighed for by Mantel and Haenszel.
        WEIGHED = { risk_ratio: :log_risk_ratio, odds_ratio: :log_odds_ratio,
                    risk_difference: :risk_difference }.freeze
        private_constant :WEIGHED

        # Raises InputError naming the field.
        def initialize(measure:, model: :reml, knapp: true, level: 95)
          @measure = Measure.fetch(measure).key
          @model = fitting(model.to_s.to_sym)
          @knapp = knapp ? true : false
          @level = level
          raise InputError, { model: "Choose how to put them together." } unless MODELS.key?(@model)
          raise InputError, { level: "Choose 90, 95 or 99." } unless LEVELS.include?(level)
          raise InputError, { model: "Mantel–Haenszel weighs risk ratios, odds ratios and risk differences." } if wrong_pair?

          freeze
        end

        def random? = RANDOM.include?(model)
        def weighed = WEIGHED[measure]
        def share = level / 100.0

        # How many standard errors the interval of one study reaches.
        def z = Statistics::Normal.quantile((1 + share) / 2)

        private

        # Peto's effects are made for one effect in all.
        def fitting(model) = measure == :peto_odds_ratio && RANDOM.include?(model) ? :fixed : model

        def wrong_pair? = model == :mantel_haenszel && !WEIGHED.key?(measure)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Appraisal
    # One thing that an inquiry wants to know of the papers: delirium, sleep, sore ears.
    #
    # id :: Integer, from 1, given once; name :: in words; kind :: key of a Kind
    # better :: :less or :more of it; matters :: key of MATTERS: how much it matters to patients
    # worthwhile :: the smallest difference worth having, Float above 0 or nil: in people of 100 for
    #   what happens or not, for a share and for a test, else in the units of the measure
    # baseline :: what happens here now, in people of 100, 0 to 100, or nil
    # arms :: CloseReading::Arms, which names the two groups that are compared; what it leaves open is taken from the
    #   question
    # way :: Way; judgements :: Hash of a domain of Certainty (Symbol) to Judgement
    class Outcome < Value
      attributes :id, :name, :kind, :better, :matters, :worthwhile, :baseline, :way, :judgements, :arms

      MATTERS = { critical: "critical", important: "important", less: "of less weight" }.freeze
      BETTER = { less: "less of it is better", more: "more of it is better" }.freeze

      # Raises InputError naming the field.
      def initialize(id:, name:, kind: "events", better: :less, matters: :important, worthwhile: nil, baseline: nil,
                     way: nil, judgements: {}, arms: CloseReading::Arms.blank)
        @id = id
        @name = name.to_s.strip.freeze
        @kind = Kind.fetch(kind).key
        @better, @matters = [better, matters].map { |choice| choice.to_s.to_sym }
        @worthwhile = number(worthwhile, :worthwhile)
        @baseline = number(baseline, :baseline)
        @way = fitting(way)
        @judgements = judgements.to_h.freeze
        @arms = arms
        check
        freeze
      end

      def sort = Kind.fetch(kind)
      def measure = Measure.fetch(way.measure)

      private

      # A way whose measure is none of the kind's is as good as none.
      def fitting(way)
        return way if way && sort.measures.include?(way.measure)

        Way.new(measure: sort.measures.first)
      end

      def number(value, field)
        return if value.nil?
        raise InputError, { field => "Write a number." } unless value.is_a?(Numeric) && value.to_f.finite?

        value.to_f
      end

      def check
        errors = FieldLengths.errors({ name: }, { name: :outcome })
        errors[:name] = "Give the outcome a name." if name.empty?
        errors[:better] = "Say which way is better." unless BETTER.key?(better)
        errors[:matters] = "Say how much it matters." unless MATTERS.key?(matters)
        errors[:worthwhile] = "Write a number above 0." unless worthwhile.nil? || worthwhile.positive?
        errors[:baseline] = "Write a number from 0 to 100." unless baseline.nil? || baseline.between?(0, 100)
        raise InputError, errors unless errors.empty?
      end

      # What a person said of one reason for or against being sure, in place of what is proposed.
      #
      # steps :: −2 to 2; why :: the reason in words, never empty
      class Judgement < Value
        attributes :steps, :why

        # Raises InputError naming the field.
        def initialize(steps:, why:)
          @steps = steps
          @why = why.to_s.strip.freeze
          raise InputError, { steps: "Choose how many steps." } unless steps.is_a?(Integer) && steps.between?(-2, 2)
          raise InputError, { why: "Say why." } if @why.empty?

          FieldLengths.check(:judgement, @why, at: :why)
          freeze
        end
      end

      # What sort of thing an outcome is: by which measures it is told, and in which forms papers
      # give it. The first measure and the first form are the usual ones.
      class Kind < Value
        attributes :key, :name, :measures, :forms

        MEANS = %w[means_sd means_se means_interval medians_quartiles medians_range
                   medians_both].freeze
        ALL = [
          new(key: "events", name: "Happens or not, in two groups",
              measures: %i[risk_ratio odds_ratio risk_difference peto_odds_ratio], forms: %w[counts estimate]),
          new(key: "scale", name: "Measured on a scale, in two groups", measures: %i[mean_difference standardized],
              forms: [*MEANS, "estimate"]),
          new(key: "rate", name: "Counted over time, in two groups", measures: %i[rate_ratio rate_difference],
              forms: %w[events_over_time estimate]),
          new(key: "time", name: "Time until it happens", measures: %i[hazard_ratio],
              forms: %w[estimate]),
          new(key: "share", name: "Share of one group", measures: %i[share], forms: %w[one_group]),
          new(key: "test", name: "How often a test is right", measures: %i[accuracy],
              forms: %w[four_cells]),
          new(key: "ready", name: "A ratio or difference as printed",
              measures: %i[ratio difference], forms: %w[estimate])
        ].freeze
        private_constant :MEANS

        # Raises InputError (:kind) for an unknown key.
        def self.fetch(key)
          ALL.find { |kind| kind.key == key } || raise(InputError, { kind: "Choose what sort of outcome it is." })
        end

        # The measures in which a printed effect may be; nil where any ratio or difference will do.
        def printed = (measures unless key == "ready")

        # Whether two groups are compared, also in a printed effect.
        def compares? = !%w[share test].include?(key)

        def two_groups? = %w[events scale rate].include?(key)

        # Whether a baseline in people of 100 means something for it.
        def baseline? = %w[events time].include?(key)
      end

      # An effect measure: on which scale it is pooled, and how it is told.
      #
      # key :: Symbol; name :: in words, in small letters; scale :: :log for what is pooled as a
      #   logarithm, :logit for the logarithm of odds, :plain for what is pooled as it is
      # per :: what a plain value is told in, or nil
      class Measure < Value
        attributes :key, :name, :scale, :per

        ALL = [
          [:risk_ratio, "risk ratio", :log], [:odds_ratio, "odds ratio", :log],
          [:risk_difference, "risk difference", :plain, "of 100"],
          [:peto_odds_ratio, "odds ratio by Peto", :log], [:mean_difference, "mean difference", :plain],
          [:standardized, "difference in standard deviations", :plain, "SD"],
          [:rate_ratio, "rate ratio", :log], [:rate_difference, "rate difference", :plain],
          [:hazard_ratio, "hazard ratio", :log], [:share, "share", :logit, "of 100"],
          [:accuracy, "sensitivity and specificity", :logit, "of 100"],
          [:ratio, "ratio", :log], [:difference, "difference", :plain]
        ].to_h { |key, name, scale, per| [key, new(key:, name:, scale:, per:)] }.freeze

        # Raises InputError (:measure) for an unknown key.
        def self.fetch(key)
          ALL[key.to_s.to_sym] || raise(InputError, { measure: "Choose a measure." })
        end

        def ratio? = scale == :log
        def of_hundred? = per == "of 100"

        # A value of the scale of pooling as it is told: a ratio, a share or difference of 100, or
        # itself.
        def told(value)
          case scale
          when :log then Math.exp(value)
          when :logit then 100 * Statistics::Proportions::Shares.share(value)
          else of_hundred? ? 100 * value : value
          end
        end

        # Where there is no effect, on the scale of pooling; nil for a share.
        def nothing = scale == :logit ? nil : 0.0
      end

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
        def z = Statistics::Distributions::Normal.quantile((1 + share) / 2)

        private

        # Peto's effects are made for one effect in all.
        def fitting(model) = measure == :peto_odds_ratio && RANDOM.include?(model) ? :fixed : model

        def wrong_pair? = model == :mantel_haenszel && !WEIGHED.key?(measure)
      end
    end
  end
end

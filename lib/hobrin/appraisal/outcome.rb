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

      MATTERS = Book.names("appraisal.outcome.importance", %i[critical important less])
      BETTER = Book.names("appraisal.outcome.better", %i[less more])

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
        raise InputError, { field => Book.t("appraisal.errors.number") } unless value.is_a?(Numeric) && value.to_f.finite?

        value.to_f
      end

      def check
        errors = FieldLengths.errors({ name: }, { name: :outcome })
        errors[:name] = Book.t("appraisal.errors.outcome_name") if name.empty?
        errors[:better] = Book.t("appraisal.errors.better") unless BETTER.key?(better)
        errors[:matters] = Book.t("appraisal.errors.importance") unless MATTERS.key?(matters)
        errors[:worthwhile] = Book.t("appraisal.errors.above_0") unless worthwhile.nil? || worthwhile.positive?
        errors[:baseline] = Book.t("appraisal.errors.from_0_to_100") unless baseline.nil? || baseline.between?(0, 100)
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
          raise InputError, { steps: Book.t("appraisal.errors.steps") } unless steps.is_a?(Integer) && steps.between?(-2, 2)
          raise InputError, { why: Book.t("appraisal.errors.reason") } if @why.empty?

          FieldLengths.check(:judgement, @why, at: :why)
          freeze
        end
      end

      # What sort of thing an outcome is: by which measures it is told, and in which forms papers
      # give it. The first measure and the first form are the usual ones.
      class Kind < Value
        attributes :key, :measures, :forms

        def name = Book.t("appraisal.outcome.type.#{key}")

        MEANS = %w[means_sd means_se means_interval medians_quartiles medians_range
                   medians_both].freeze
        ALL = [
          new(key: "events",
              measures: %i[risk_ratio odds_ratio risk_difference peto_odds_ratio], forms: %w[counts estimate]),
          new(key: "scale", measures: %i[mean_difference standardized],
              forms: [*MEANS, "estimate"]),
          new(key: "rate", measures: %i[rate_ratio rate_difference],
              forms: %w[events_over_time estimate]),
          new(key: "time", measures: %i[hazard_ratio],
              forms: %w[estimate]),
          new(key: "share", measures: %i[share], forms: %w[one_group]),
          new(key: "test", measures: %i[accuracy],
              forms: %w[four_cells]),
          new(key: "ready",
              measures: %i[ratio difference], forms: %w[estimate])
        ].freeze
        private_constant :MEANS

        # Raises InputError (:kind) for an unknown key.
        def self.fetch(key)
          ALL.find { |kind| kind.key == key } || raise(InputError, { kind: Book.t("appraisal.errors.outcome_type") })
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
      # key :: Symbol; scale :: :log for what is pooled as a
      #   logarithm, :logit for the logarithm of odds, :plain for what is pooled as it is
      # per :: :of_hundred for what is told in people of 100, else nil
      class Measure < Value
        attributes :key, :scale, :per

        def name = Book.t("appraisal.measure.#{key}")

        ALL = [
          %i[risk_ratio log], %i[odds_ratio log], %i[risk_difference plain of_hundred], %i[peto_odds_ratio log],
          %i[mean_difference plain], %i[standardized plain], %i[rate_ratio log], %i[rate_difference plain],
          %i[hazard_ratio log], %i[share logit of_hundred], %i[accuracy logit of_hundred], %i[ratio log], %i[difference plain]
        ].to_h { |key, scale, per| [key, new(key:, scale:, per:)] }.freeze

        # Raises InputError (:measure) for an unknown key.
        def self.fetch(key)
          ALL[key.to_s.to_sym] || raise(InputError, { measure: Book.t("appraisal.errors.measure") })
        end

        def ratio? = scale == :log
        def of_hundred? = per == :of_hundred

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

        MODELS = %i[reml dl pm fixed mantel_haenszel none].to_h { |key| [key, Book.t("appraisal.model.#{key}")] }.freeze
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
          raise InputError, { model: Book.t("appraisal.errors.model") } unless MODELS.key?(@model)
          raise InputError, { level: Book.t("appraisal.errors.level") } unless LEVELS.include?(level)
          raise InputError, { model: Book.t("appraisal.errors.mantel_haenszel") } if wrong_pair?

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

# frozen_string_literal: true

module Hobrin
  module Appraisal
    # How sure one may be of what the papers say together on an outcome: GRADE's way (Guyatt et al., BMJ
    # 2008;336:924 and J Clin Epidemiol 2011;64:380 and following; from memory). It begins by how
    # the studies were made, goes down for five reasons and up for three. Each step is proposed
    # from numbers that the reason names; a person may set it otherwise and says why.
    #
    # start :: 4 for high, 2 for low; lines :: Array of Line; level :: 1 to 4
    class Certainty < Value
      # domain :: Symbol; proposed :: steps, −2 to 2; why :: the numbers behind it, in a sentence
      # judgement :: Outcome::Judgement or nil
      class Line < Value
        attributes :domain, :proposed, :why, :judgement

        def steps = judgement ? judgement.steps : proposed
        def up? = UP.include?(domain)
      end

      attributes :start, :start_why, :lines, :level

      LEVELS = { 4 => :high, 3 => :moderate, 2 => :low, 1 => :very_low }.transform_values do |key|
        Book.t("appraisal.certainty.level.#{key}")
      end.freeze
      DOMAINS = Book.names("appraisal.certainty.domain",
                           %i[bias inconsistency indirectness imprecision unpublished large gradient against])
      UP = %i[large gradient against].freeze

      def word = LEVELS.fetch(level)

      # Whether the steps of a line count towards the level.
      def counts?(line) = self.class.counts?(line, start, lines)

      class << self
        # pool :: Appraisal::Synthesis::Pool; kind :: key of the kind of question, or nil; protocols :: how many
        #   protocols of such studies have no results yet
        # Gives a Certainty; nil where no paper is counted.
        def of(pool, kind:, protocols: 0)
          return if pool.studies.empty?

          start, start_why = Start.of(pool)
          proposed = Proposals.new(pool, kind:, protocols:).call
          lines = proposed.map do |domain, (steps, why)|
            Line.new(domain:, proposed: steps, why:, judgement: pool.outcome.judgements[domain])
          end
          new(start:, start_why:, lines:, level: level(start, lines))
        end

        # Up only from low, and only where nothing led down: a strong effect of doubtful studies
        # proves little.
        def counts?(line, start, lines)
          !line.up? || (start < 4 && lines.none? { |other| !other.up? && other.steps.negative? })
        end

        private

        def level(start, lines)
          (start + lines.sum { |line| counts?(line, start, lines) ? line.steps : 0 }).clamp(1, 4)
        end
      end

      # Where certainty begins: high for randomized trials, and for studies that follow or test
      # people where a course or a test is asked about; else low. By what more than half of the
      # weight is.
      module Start
        RANDOMIZED = %w[randomized_trial systematic_review].freeze
        SINGLE = %w[share test].freeze
        private_constant :RANDOMIZED, :SINGLE

        class << self
          # Gives [4 or 2, why].
          def of(pool)
            return [4, Book.t("appraisal.certainty.start.single")] if SINGLE.include?(pool.outcome.kind)

            share = pool.weight_of { |study| strong?(study) }
            percent = Said.percent(share)
            share > 0.5 ? [4, Book.t("appraisal.certainty.start.high", percent:)] : [2, Book.t("appraisal.certainty.start.low", percent:)]
          end

          private

          def strong?(study)
            design = study.paper.design
            if design == "systematic_review"
              ["randomized_trial", ""].include?(study.paper.reviewed)
            else
              RANDOMIZED.include?(design)
            end
          end
        end
      end

      # What is proposed for each domain, worked out from the pool.
      class Proposals
        # pool, kind, protocols :: as Certainty.of takes them
        def initialize(pool, kind:, protocols:)
          @pool = pool
          @kind = kind
          @protocols = protocols
        end

        # Gives a Hash of domain to [steps, why], in the order of DOMAINS.
        def call
          { bias: RiskOfBias.of(@pool, @kind), inconsistency: Inconsistency.of(@pool), indirectness: Indirectness.of(@pool),
            imprecision: Imprecision.of(@pool), unpublished: PublicationBias.of(@pool, @protocols), large: large,
            gradient: [0, Book.t("appraisal.certainty.gradient")], against: [0, Book.t("appraisal.certainty.against")] }
        end

        private

        # A ratio beyond 2 or 5 either way, whose interval does not reach 1.
        def large
          pooled = @pool.pooled
          return [0, Book.t("appraisal.certainty.large.no_ratio")] unless pooled && @pool.measure.ratio?

          size = Math.exp(pooled.estimate.abs)
          nearest = Math.exp([pooled.low.abs, pooled.high.abs].min)
          crossed = pooled.low.negative? != pooled.high.negative?
          facts = { measure: @pool.measure.name, value: Said.number(Math.exp(pooled.estimate)) }
          return [0, Book.t("appraisal.certainty.large.includes_1", **facts)] if crossed

          steps = 0
          steps = 1 if size >= 2
          steps = 2 if size >= 5 && nearest >= 2
          [steps, Book.t("appraisal.certainty.large.#{%w[moderate large very_large].fetch(steps)}", **facts)]
        end
      end

      # On which side of no effect an interval lies.
      module Direct
        # Anything with low and high, on the scale of pooling. Gives :less, :more or :either.
        def self.way(interval)
          return :less if interval.high.negative?

          interval.low.positive? ? :more : :either
        end
      end

      # Numbers as the reasons of proposals name them.
      module Said
        MINUS = "−"
        private_constant :MINUS

        class << self
          # Two places, or so many as show that it is not nothing.
          def number(value)
            places = value.abs >= 100 ? 0 : 2
            text = format("%.#{places}f", value)
            text = format("%.1e", value) if text.match?(/\A-?0\.?0*\z/) && !value.zero?
            text.match?(/\A-0\.?0*\z/) ? text.delete_prefix("-") : text.sub("-", MINUS)
          end

          # An interval in the measure's own way of telling.
          def interval(measure, low, high)
            low, high = [low, high].map { |value| number(measure.told(value)) }
            Book.t("appraisal.certainty.#{measure.of_hundred? ? "interval_per_100" : "interval"}", low:, high:)
          end

          # "p = 0.034", "p < 0.001"
          def p(value) = value < 0.001 ? "p < 0.001" : "p = #{format("%.3f", value)}"

          # 0.22 => "22 %"
          def percent(share) = "#{(100 * share).round} %"
        end
      end
    end
  end
end

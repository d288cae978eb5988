# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Two groups compared: trials, cohorts, before and after, and what they cost. The conclusion
      # follows from the numbers by the rules of Appraisal::Effect::Direction, but for a few that claim
      # more.
      class Comparison < Maker
        # Some trials are called randomized though their methods say otherwise.
        MISLABELLED = 0.05
        # Trials of wards, not of persons.
        CLUSTER = 0.15
        # Of the results that cannot tell, how many are sold as a success.
        OVERCLAIMED = 0.012
        GROUPS = { cohort: %w[with without], before_after: %w[after before],
                   controlled: %w[with without] }.freeze
        # Out of a hundred: an effect that helps, none to speak of, one that harms.
        EFFECTS = { (0.45..0.9) => 62, (0.92..1.08) => 22, (1.1..1.9) => 16 }.freeze
        SIZES = { (28..240) => 65, (240..900) => 35 }.freeze
        # What else was counted, and how it is told.
        ASIDES = ["were in pain", "were dissatisfied with care", "fell at least once", "stayed more than a week",
                  "were anxious", "came back within 30 days", "slept badly"].freeze
        private_constant :MISLABELLED, :CLUSTER, :OVERCLAIMED, :GROUPS, :EFFECTS, :SIZES, :ASIDES

        def initialize(...)
          super
          @variant = :cluster if @design == :trial && chance(CLUSTER)
        end

        private

        def abstract
          count
          methods = phrase("methods",
                           @variant == :trial && chance(MISLABELLED) ? :mislabelled : @variant)
          parts(background: phrase("background"), methods:, results: "#{results}.#{aside}#{money}",
                conclusion:)
        end

        # Draws the numbers.
        def count
          total, other = sizes
          common = @random.rand(0.08..0.5)
          risk = [common * @random.rand(weighted(EFFECTS)), 0.95].min
          @table = Statistics::TwoByTwo.new(events: cases(total, risk), total:, comparison_events: cases(other, common),
                                            comparison_total: other)
        end

        # The groups of a trial are alike in size, those of wards less so; others are as they come.
        def sizes
          total = @random.rand(weighted(SIZES))
          case @variant
          when :trial, :cost then [total, [total + @random.rand(-3..3), 20].max]
          when :cluster then [total, (total * @random.rand(0.85..1.15)).round]
          else [total, @random.rand(weighted(SIZES))]
          end
        end

        def cases(total, risk) = (total * risk).round.clamp(1, total - 1)

        def results
          one, two = groups
          people = chance(0.5) ? "#{@table.total + @table.comparison_total} people took part. " : ""
          "#{people}#{share(@table.events, @table.total)} #{event} #{one} and " \
            "#{share(@table.comparison_events, @table.comparison_total)} #{two}#{effect}"
        end

        def groups = GROUPS.fetch(@design, ["with #{i}", "with usual care"])

        # The ratio as the core works it out from these very numbers.
        def effect
          return "" if chance(0.35)

          format("; risk ratio %<estimate>.2f", estimate: ratio.estimate) + interval(ratio)
        end

        def ratio = @ratio ||= Statistics::TwoByTwo::RiskRatio.call(@table)
        def direction = Appraisal::Effect::Direction.of_ratio(printed(ratio))

        def conclusion = concluded("conclusion")

        # What follows from the numbers; now and then more than that, where they cannot tell.
        def concluded(kind, **words)
          overclaimed = direction == :uncertain && chance(OVERCLAIMED)
          phrase(kind, overclaimed ? :overclaim : direction, **words)
        end

        # A ratio with its interval on the log scale.
        def on_log_scale(estimate, variance)
          error = Statistics::Distributions::Normal::Z95 * Math.sqrt(variance)
          Statistics::Interval.new(estimate:, low: estimate * Math.exp(-error),
                                   high: estimate * Math.exp(error))
        end

        def aside
          return "" if chance(0.5)

          told = pick(ASIDES - [event])
          one, two = [@table.total, @table.comparison_total].map do |total|
            share(cases(total, @random.rand(0.05..0.3)), total)
          end
          " Beside that, #{one} and #{two} #{told}."
        end

        def money
          return "" unless @design == :cost

          each = @random.rand(4..60)
          " #{capital(i)} cost #{each} a person, #{each * @table.total} for all #{@table.total}."
        end

        def weighted(shares)
          at = @random.rand(shares.values.sum)
          shares.find { |_, share| (at -= share).negative? }.first
        end
      end
    end
  end
end

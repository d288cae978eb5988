# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Two groups compared: trials, cohorts, before and after, and what they cost.
      class Comparison < Maker
        TITLES = {
          trial: ["%<I>s and %<o>s in %<p>s: a randomized controlled trial", "Effect of %<i>s on %<o>s in %<p>s: a randomized trial",
                  "%<I>s to reduce %<o>s in %<p>s: a cluster randomized trial in %<place>s", "%<I>s versus usual care for %<o>s in %<p>s: a pilot randomized controlled trial"],
          controlled: ["%<I>s for %<o>s in %<p>s: a controlled trial", "%<I>s or usual care for %<p>s and %<o>s: a controlled trial without randomization"],
          cohort: ["%<O>s after %<i>s in %<p>s: a cohort study", "Less %<o>s with %<i>s? A cohort of %<p>s", "%<I>s and %<o>s in %<p>s followed for three months"],
          case_control: ["%<O>s in %<p>s and earlier %<i>s: a case-control study"],
          before_after: ["Introducing %<i>s for %<p>s: a before-and-after study of %<o>s", "Less %<o>s with %<i>s? Two years of change in %<place>s", "%<I>s on the ward: a quality improvement project for %<o>s"],
          cost: ["What %<i>s costs and saves: %<o>s in %<p>s", "%<I>s for %<p>s: an economic evaluation beside a trial of %<o>s"]
        }.freeze
        METHODS = {
          trial: ["%<P>s in %<place>s were randomly assigned, by a central computer, to %<i>s or to usual care.",
                  "We randomly allocated %<p>s in %<place>s with sealed envelopes to %<i>s or usual care; assessors did not know the group.",
                  "In this trial wards of %<place>s were randomized to %<i>s or to care as before."],
          controlled: ["%<I>s was given on one side of %<place>s and not on the other; people were not randomized.", "%<P>s chose %<i>s or usual care themselves."],
          cohort: ["We followed %<p>s in %<place>s from admission to discharge.", "All %<p>s admitted to %<place>s in one year were followed for 90 days."],
          case_control: ["%<P>s with %<o>s were matched by age and sex to others without; charts were searched for %<i>s."],
          before_after: ["In %<place>s we compared the months before and after introducing %<i>s.", "%<I>s was introduced in small steps over eleven months; charts were read before and after."],
          cost: ["Costs and outcomes of %<i>s were counted beside a trial in %<place>s, from the side of the hospital."]
        }.freeze
        # Some trials are called randomized though their methods say otherwise.
        MISLABELLED = ["%<P>s in %<place>s got %<i>s on even dates and usual care on odd dates.", "%<P>s were put into groups by the bed that was free: %<i>s by the window, usual care by the door."].freeze
        MISLABELLED_SHARE = 0.05
        GROUPS = { cohort: %w[with without], before_after: %w[after before], controlled: %w[with without] }.freeze
        private_constant :TITLES, :METHODS, :MISLABELLED, :MISLABELLED_SHARE, :GROUPS

        private

        def title = filled(pick(TITLES.fetch(@design)))

        def abstract
          @total, @others = Array.new(2) { @random.rand(28..240) }
          common = @random.rand(0.08..0.55)
          @events = [(@total * common * @random.rand(0.45..1.15)).round, 1].max
          @other_events = [(@others * common).round, 1].max
          parts(background:, methods: filled_methods, results:, conclusion:)
        end

        def filled_methods
          list = @design == :trial && chance(MISLABELLED_SHARE) ? MISLABELLED : METHODS.fetch(@design)
          format(pick(list), **@words, place:, I: capital(i), P: capital(p))
        end

        def results
          one, two = GROUPS.fetch(@design, ["with #{i}", "with usual care"])
          people = "#{@total + @others} people took part. " if chance(0.5)
          "#{people}#{share(@events, @total)} #{@event} #{one} and #{share(@other_events, @others)} #{two}#{effect}.#{money}"
        end

        # The risk ratio as the core works it out from these very numbers.
        def effect
          return "" if chance(0.35)

          ratio = Statistics::RiskRatio.call(Statistics::TwoByTwo.new(events: @events, total: @total, comparison_events: @other_events, comparison_total: @others))
          format("; risk ratio %<estimate>.2f, 95%% CI %<lower>.2f to %<upper>.2f", estimate: ratio.estimate, lower: ratio.low, upper: ratio.high)
        end

        def money
          return "" unless @design == :cost

          each = @random.rand(4..60)
          " #{capital(i)} cost #{each} a person, #{each * @total} for all #{@total}."
        end

        def conclusion
          return filled(pick(["%<I>s made no clear difference to %<o>s.", "We could not show that %<i>s changes %<o>s."])) unless better?

          filled(pick(["Fewer had %<o>s with %<i>s; larger studies should tell.", "%<I>s may lower %<o>s in %<p>s.", "With %<i>s, %<o>s was rarer."]))
        end

        def better? = @events.fdiv(@total) < @other_events.fdiv(@others) * 0.85
      end
    end
  end
end

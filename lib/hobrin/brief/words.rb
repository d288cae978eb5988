# frozen_string_literal: true

module Hobrin
  class Brief
    # Effects, results and numbers needed to treat, in words.
    module Words
      # What four numbers come to, in words and figures.
      class OfEffect
        include Text::Numerals

        # effect :: Appraisal::Effect
        def initialize(effect)
          @effect = effect
        end

        # "112/571 · 163/577"
        def counted
          table = @effect.table
          "#{table.events}/#{table.total} · #{table.comparison_events}/#{table.comparison_total}"
        end

        def risks
          Book.t("brief.effect.risks", with: points(@effect.table.risk), without: points(@effect.table.comparison_risk))
        end

        # The figure, nil where it cannot be told; its interval; and whether ½ was added to each
        # cell, nil where it was not.
        def ratio = @effect.ratio && ratio_in_words(@effect.ratio.estimate)
        def ratio_interval = between(@effect.ratio) { |ratio| ratio_in_words(ratio) }
        def corrected = (Book.t("brief.effect.corrected") if Statistics::TwoByTwo::RiskRatio.corrected?(@effect.table))

        def difference = points(@effect.difference.estimate)
        def difference_interval = between(@effect.difference) { |share| points(share) }

        # The number needed to treat, "none" where the risks are equal.
        def needed = same_risks? ? Book.t("brief.effect.none") : decimal(@effect.needed.estimate, 1)

        # "for one fewer; 95 % 5.2 to 33.4", and both sides where no difference lies between them.
        def needed_words
          near = @effect.needed.fewer ? "fewer" : "more"
          low, high, other = [@effect.needed.low, @effect.needed.high,
                              @effect.needed.other].map { |people| people && decimal(people, 1) }
          return Book.t("brief.effect.needed_#{near}", low:, high:) unless other
          return Book.t("brief.effect.needed_equal", low:, other:) if same_risks?

          Book.t("brief.effect.needed_#{near}_through_none", low:, other:)
        end

        private

        def same_risks? = @effect.needed.fewer.nil?
        def between(interval) = Book.t("brief.range", low: yield(interval.low), high: yield(interval.high))
      end

      # Effects and the numbers behind them, in words.
      class OfResult
        include Text::Numerals

        # measure :: Appraisal::Outcome::Measure
        def initialize(measure)
          @measure = measure
        end

        # A value of the scale of pooling.
        def value(value)
          told = @measure.told(value)
          return ratio_in_words(told) if @measure.ratio?

          return decimal(told) unless @measure.of_hundred?

          decimal(told, told.abs < 10 ? 1 : 0)
        end

        def range(low, high) = Book.t("brief.range", low: value(low), high: value(high))

        # "0.64 (0.43 to 0.95)"
        def interval(estimate, low, high) = Book.t("brief.interval", estimate: value(estimate), low: value(low), high: value(high))
        def of(pooled) = interval(pooled.estimate, pooled.low, pooled.high)

        # A p value: "p = 0.03", "p < 0.001".
        def p(value)
          return "p < 0.001" if value < 0.001

          "p = #{decimal(value, value < 0.1 ? 3 : 2)}"
        end

        # The effect of one result with its interval; nil where it tells nothing. way ::
        #   Outcome::Way
        def result(reported, way)
          one = reported.effect(@measure) or return
          reach = way.z * one.error
          "#{@measure.name} " \
            "#{interval(one.effect, one.effect - reach, one.effect + reach)}#{unit}"
        end

        # The unit that stands behind a number, or nothing.
        def unit = @measure.of_hundred? ? " #{Book.t("brief.per_100_unit")}" : ""

        # What the groups of a result have: [with, without], either may be nil.
        def groups(reported)
          case (numbers = reported.values)
          when Statistics::TwoByTwo
            [count_in(numbers.events, numbers.total), count_in(numbers.comparison_events, numbers.comparison_total)]
          when Array then of_array(reported.form, numbers)
          when Hash then [
            numbers[:people] && Book.t("brief.people", count: numbers[:people]), nil
          ]
          else ["", ""]
          end
        end

        private

        def count_in(events, all) = Book.t("brief.events_of", events: events.to_s, all: all.to_s)

        def of_array(form, numbers)
          case form
          when "events_over_time" then numbers.each_slice(2).map do |events, time|
            Book.t("brief.events_in_time", events:, time: time.round)
          end
          when "one_group" then [count_in(numbers.first, numbers.last), nil]
          else numbers.map do |number|
                 "#{decimal(number.mean)} (#{decimal(number.deviation)}), #{number.size}"
               end
          end
        end
      end

      # The number needed to treat, in words: with its interval, and on both sides of no difference
      # where the interval includes that.
      module OfNumberNeeded
        extend Text::Numerals

        class << self
          # without, with, low, high :: shares of people, 0 to 1: without it, with it, and the two
          # ends of the interval of the latter. Gives a sentence.
          def of(without, with, low, high)
            ends = [low, high].map { |share| share - without }.sort
            difference = Statistics::Interval.new(estimate: with - without, low: ends.first, high: ends.last)
            call(Statistics::TwoByTwo::NumberNeededToTreat.from(difference))
          end

          # needed :: Statistics::TwoByTwo::NumberNeededToTreat. Gives a sentence.
          def call(needed)
            low, high, other = [needed.low, needed.high, needed.other].map { |number| number && people(number) }
            near = needed.fewer ? "fewer" : "more"
            return Book.t("brief.nnt.#{near}", estimate: people(needed.estimate), low:, high:) unless other

            Book.t("brief.nnt.#{near}_through_none", estimate: people(needed.estimate), low:, other:)
          end

          private

          def people(number)
            return "∞" unless number.finite?

            decimal(number, number < 10 ? 1 : 0)
          end
        end
      end

      # What a paper gives for one outcome, in words.
      #
      # outcome :: its name; counted :: its groups; effect :: EffectWords of four counts, nil for
      #   other numbers; other :: the effect of those, nil where they tell none; notes :: Array of
      #   what else is to be known of it
      class OfPaper < Value
        attributes :outcome, :counted, :effect, :other, :notes

        # result :: EvidenceRow::Result
        def self.of(result)
          told = OfResult.new(result.outcome.measure)
          effect = OfEffect.new(result.effect) if result.effect
          counted = effect ? effect.counted : told.groups(result.reported).compact.join(" · ")
          other = told.result(result.reported, result.outcome.way) unless effect
          new(outcome: result.outcome.name, counted:, effect:, other:, notes: notes(result.reported))
        end

        # Who was compared with whom, and what was done to the numbers.
        def self.notes(reported)
          groups = [reported.group, reported.comparison].reject(&:empty?)
          groups = groups.size == 2 ? Book.t("brief.compared_with", one: groups.first, other: groups.last) : groups.join
          [(groups unless groups.empty?), *reported.notes].compact
        end
        private_class_method :notes

        # All of it in one line.
        def to_s = ["#{outcome}: #{counted}", *told, *notes].join("; ")

        private

        def told
          return [other].compact unless effect

          ratio = Book.t("brief.effect.risk_ratio", ratio: effect.ratio, interval: effect.ratio_interval) if effect.ratio
          difference = Book.t("brief.effect.difference", difference: effect.difference, interval: effect.difference_interval)
          needed = Book.t("brief.effect.nnt", needed: effect.needed, words: effect.needed_words)
          [ratio, (effect.corrected if effect.ratio), difference, needed].compact
        end
      end
    end
  end
end

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
          "#{points(@effect.table.risk)} % against #{points(@effect.table.comparison_risk)} %"
        end

        # The figure, nil where it cannot be told; its interval; and whether ½ was added to each
        # cell, nil where it was not.
        def ratio = @effect.ratio && ratio_in_words(@effect.ratio.estimate)
        def ratio_interval = between(@effect.ratio) { |ratio| ratio_in_words(ratio) }
        def corrected = ("½ added to each cell" if Statistics::TwoByTwo::RiskRatio.corrected?(@effect.table))

        def difference = points(@effect.difference.estimate)
        def difference_interval = between(@effect.difference) { |share| points(share) }

        # The number needed to treat, "none" where the risks are equal.
        def needed = same_risks? ? "none" : decimal(@effect.needed.estimate, 1)

        # "for one fewer; 95 % 5.2 to 33.4", and both sides where no difference lies between them.
        def needed_words
          fewer, more = @effect.needed.fewer ? %w[fewer more] : %w[more fewer]
          low, high, other = [@effect.needed.low, @effect.needed.high,
                              @effect.needed.other].map { |people| people && decimal(people, 1) }
          return "for one #{fewer}; 95 % #{low} to #{high}" unless other
          return "the risks are equal; 95 % #{low} for one more to ∞, and on to #{other} for one fewer" if same_risks?

          "for one #{fewer}; 95 % #{low} to ∞, and on to #{other} for one #{more}"
        end

        private

        def same_risks? = @effect.needed.fewer.nil?
        def between(interval) = "#{yield(interval.low)} to #{yield(interval.high)}"
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

        def range(low, high) = "#{value(low)} to #{value(high)}"

        # "0.64 (0.43 to 0.95)"
        def interval(estimate, low, high) = "#{value(estimate)} (#{range(low, high)})"
        def of(pooled) = interval(pooled.estimate, pooled.low, pooled.high)

        # A p-value.
        def p(value)
          return "below 0.001" if value < 0.001

          decimal(value, value < 0.1 ? 3 : 2)
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
        def unit = @measure.of_hundred? ? " of 100" : ""

        # What the groups of a result have: [with, without], either may be nil.
        def groups(reported)
          case (numbers = reported.values)
          when Statistics::TwoByTwo
            ["#{numbers.events} of #{numbers.total}",
             "#{numbers.comparison_events} of #{numbers.comparison_total}"]
          when Array then of_array(reported.form, numbers)
          when Hash then [
            numbers[:people] && count_of(numbers[:people], "person").sub("persons", "people"), nil
          ]
          else ["", ""]
          end
        end

        private

        def of_array(form, numbers)
          case form
          when "events_over_time" then numbers.each_slice(2).map do |events, time|
            "#{number(events)} in #{number(time.round)}"
          end
          when "one_group" then ["#{numbers.first} of #{numbers.last}", nil]
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
            near, far = needed.fewer ? %w[fewer more] : %w[more fewer]
            return "Number needed to treat for one #{near}: #{people(needed.estimate)} (#{low} to #{high})." unless other

            "Number needed to treat: not known. The interval runs from #{low} for one #{near}, through no " \
              "difference, to #{other} for one #{far}."
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
          groups = [reported.group, reported.comparison].reject(&:empty?).join(" compared with ")
          [(groups unless groups.empty?), *reported.notes].compact
        end
        private_class_method :notes

        # All of it in one line.
        def to_s = ["#{outcome}: #{counted}", *told, *notes].join("; ")

        private

        def told
          return [other].compact unless effect

          ratio = "risk ratio #{effect.ratio} (#{effect.ratio_interval})" if effect.ratio
          difference = "difference #{effect.difference} points (#{effect.difference_interval})"
          needed = "needed to treat #{effect.needed}, #{effect.needed_words}"
          [ratio, (effect.corrected if effect.ratio), difference, needed].compact
        end
      end
    end
  end
end

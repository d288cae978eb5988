# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Weigh
        # What the weighed papers say together: each with its ratio, the pooled one, and what is not
        # counted with them.
        class Together
          # A line of the forest: counts :: [with, without] in words; ratio :: in words; weight :: in
          #   hundredths, or nil; mark :: Mark; path :: to its sheet; toggle :: takes it out
          class Row < Value
            attributes :record, :counts, :ratio, :weight, :mark, :path, :toggle
          end

          # Where a line is drawn, in hundredths of the picture: size :: half the side of its square
          class Mark < Value
            attributes :low, :middle, :high, :size
          end

          # A paper that is not counted: why :: in words; of :: Records; back :: brings it back, or nil
          class Aside < Value
            attributes :record, :why, :of, :back
          end

          # Of a hundred people like ours, without and with: lowest, highest :: of the interval
          class Hundred < Value
            attributes :without, :with, :lowest, :highest
          end

          MEASURES = { log_risk_ratio: "risk ratio", log_odds_ratio: "odds ratio" }.freeze
          # The picture reaches no further than this, on either side of 1.
          FURTHEST = 20.0
          private_constant :FURTHEST

          # page :: Weigh
          def initialize(page, context)
            @page = page
            @pools = Services::ReadTogether.new(context, page.opened).call(measure:, without:)
          end

          def any? = @pools.any?
          def pools = @pools.select { |pool| pool.studies.any? }

          # By which ratio: [key, name, path, whether it is chosen].
          def measures
            MEASURES.map { |key, name| [name, address(measure: key), key == measure] }
          end

          def measure_name = MEASURES.fetch(measure)

          def rows(pool)
            pool.studies.each_with_index.map { |study, place| row(pool, study, place) }
          end

          # The pooled line, nil for a single study.
          def pooled(pool) = pool.pooled && mark(pool, pool.pooled.low, pool.pooled.estimate, pool.pooled.high, 0)

          def pooled_words(pool) = ratio_words(pool.pooled.estimate, pool.pooled.low, pool.pooled.high)

          # Where the ratio of a new study may lie: a Mark, nil where nothing differs.
          def prediction(pool)
            low, high = pool.pooled&.prediction
            mark(pool, low, pool.pooled.estimate, high, 0) if low && pool.pooled.tau2.positive?
          end

          # Where 1 stands in the picture.
          def no_difference(pool) = place(pool, 0.0)

          # What the pooled value rests on, in sentences.
          def facts(pool)
            one = pool.pooled
            [how(pool), "They differ beyond chance by I² #{hundredths(one.i2)} of 100#{i2_interval(pool)}; " \
                        "Q #{@page.decimal(one.q)} on #{one.q_df}, p #{p_words(one.q_p)}.",
             predicted_words(pool), without_each_words(pool)].compact
          end

          # What each hundred people would have, at the baseline that was typed or that of the papers'
          # comparison groups. Gives a Hundred, nil where the ratio is no risk ratio.
          def hundred(pool)
            return unless pool.pooled && measure == :log_risk_ratio

            without, ratio = [baseline(pool), pool.pooled]
            with, lowest, highest = [ratio.estimate, ratio.low, ratio.high].map do |log|
              people(without * Math.exp(log))
            end
            Hundred.new(without: people(without), with:, lowest:, highest:)
          end

          # What was typed for the baseline, "" for nothing; refused :: what is wrong with it, or nil.
          def typed = @page.fields.text(:of_hundred)[0, 20]
          def refused = ("Write a whole number from 0 to 100." if !typed.strip.empty? && typed_baseline.nil?)
          def kept_fields = { show: "together", measure: (measure unless measure == :log_risk_ratio), without: }.compact

          def asides(pool)
            pool.left_out.map do |one|
              back = address(without: without - [one.record.id]) if one.why == :by_hand
              Aside.new(record: one.record, why: Appraisal::Together::WHY.fetch(one.why), of: one.of, back:)
            end
          end

          private

          def measure = @page.fields.one_of(:measure, MEASURES.keys) || :log_risk_ratio
          def without = @page.fields.list(:without).first(60)

          def address(**changed)
            query = { show: "together", measure:, without:, of_hundred: typed, **changed }
            pairs = query.flat_map { |name, value| [*value].map { |one| [name == :without ? "without[]" : name, one] } }
            "#{@page.path}?#{URI.encode_www_form(pairs.reject { |_, value| value.to_s.empty? })}"
          end

          def row(pool, study, place)
            weight = pool.pooled&.weights&.at(place)
            effect, reach = [study.result.effect, Statistics::Normal::Z95 * study.result.error]
            Row.new(record: study.record, weight: weight && hundredths(weight),
                    counts: counts(study.paper.table), path: @page.path_to_sheet(study.record),
                    ratio: ratio_words(effect, effect - reach, effect + reach),
                    mark: mark(pool, effect - reach, effect, effect + reach, 2 + (6 * Math.sqrt(weight || 0.5))),
                    toggle: address(without: [*without, study.record.id]))
          end

          def counts(table)
            ["#{table.events} of #{table.total}", "#{table.comparison_events} of #{table.comparison_total}"]
          end

          def mark(pool, low, middle, high, size)
            Mark.new(low: place(pool, low), middle: place(pool, middle), high: place(pool, high), size: size.round(1))
          end

          # Where a logarithm stands between the ends of the picture, 0 to 200.
          def place(pool, log)
            low, high = ends(pool)
            (200 * ((log - low) / (high - low)).clamp(0.0, 1.0)).round(1)
          end

          # Even about 1, as far as the widest interval.
          def ends(pool)
            logs = pool.studies.map { |study| study.result.effect.abs + (2 * study.result.error) }
            most = logs.max.clamp(Math.log(2), Math.log(FURTHEST))
            [-most, most]
          end

          def ratio_words(log, low, high)
            middle, from, to = [log, low, high].map { |one| @page.decimal(Math.exp(one)) }
            "#{middle} (#{from} to #{to})"
          end

          def how(pool)
            knapp = ", interval by Hartung and Knapp, never narrower than without" if pool.pooled.df
            "Effects that vary from study to study: restricted maximum likelihood#{knapp}#{fallback(pool)}."
          end

          def fallback(pool) = pool.pooled.converged ? "" : ", which did not converge: DerSimonian–Laird instead"

          def i2_interval(pool)
            low, high = pool.spread.i2_interval
            low ? " (#{hundredths(low)} to #{hundredths(high)})" : ""
          end

          def predicted_words(pool)
            low, high = pool.pooled.prediction
            return if low.nil? || pool.pooled.tau2.zero?

            "A new study may have anything from #{@page.decimal(Math.exp(low))} to #{@page.decimal(Math.exp(high))}."
          end

          def without_each_words(pool)
            return if pool.without_each.empty?

            low, high = pool.without_each.map { |one| Math.exp(one.estimate) }.minmax
            "With any one of them left out it is #{@page.decimal(low)} to #{@page.decimal(high)}."
          end

          def p_words(value) = value < 0.001 ? "below 0.001" : @page.decimal(value, value < 0.1 ? 3 : 2)
          def hundredths(share) = @page.hundredths(share)
          def people(share) = (100 * share).round.clamp(0, 100)

          def baseline(pool) = typed_baseline || pool.baseline

          def typed_baseline
            number = @page.fields.number(:of_hundred)
            number / 100.0 if number.is_a?(Integer) && number.between?(0, 100)
          end
        end
      end
    end
  end
end

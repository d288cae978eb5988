# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # Down by one where more than half of what differs is more than chance, or a new study might
      # have the opposite of what is pooled; by two where more than three quarters is and a new
      # study might. Not where all studies lie on one side, since then they differ in size only.
      # The prediction interval counts from five papers on: with fewer it is wide because they are
      # few, which imprecision counts already. Of a test or a share, by how far the studies lie
      # apart. Where each begins: common practice, no source.
      module Inconsistency
        # Of 100, how far single shares may lie apart.
        APART = 30
        ENOUGH_TO_PREDICT = 5
        private_constant :APART, :ENOUGH_TO_PREDICT

        class << self
          # Gives [steps, why].
          def of(pool)
            return [0, Book.t("appraisal.inconsistency.single")] if pool.studies.size < 2
            return of_test(pool) if pool.tests
            return one_by_one(pool) unless pool.pooled

            pool.measure.nothing ? of_effect(pool) : of_share(pool)
          end

          private

          def of_effect(pool)
            i2, (low, high) = [pool.pooled.i2, pool.spread.i2_interval]
            new_study = pool.pooled.prediction
            opposite = pool.studies.size >= ENOUGH_TO_PREDICT && new_study &&
                       Direct.way(pool.pooled) != :either && new_study.map(&:negative?).uniq.size == 2
            split = pool.results.map { |result| result.effect.negative? }.uniq.size > 1
            [steps(i2, opposite, split), reason(pool, i2, low, high, new_study)]
          end

          def steps(i2, opposite, split)
            return 0 unless split || opposite
            return -2 if i2 > 0.75 && opposite

            i2 > 0.5 || opposite ? -1 : 0
          end

          def reason(pool, i2, low, high, new_study)
            said = [Book.t("appraisal.inconsistency.i2", i2: (100 * i2).round, low: (100 * low).round, high: (100 * high).round)]
            said << Book.t("appraisal.inconsistency.prediction", interval: Said.interval(pool.measure, *new_study)) if new_study
            sides = pool.results.partition { |result| result.effect.negative? }.map(&:size)
            Book.t("appraisal.inconsistency.sides", said: said.join("; "), less: sides.first, all: sides.sum)
          end

          def of_share(pool)
            shares = pool.results.map { |result| pool.measure.told(result.effect) }
            apart = shares.max - shares.min
            [apart > APART ? -1 : 0, Book.t("appraisal.inconsistency.shares", low: Said.number(shares.min), high: Said.number(shares.max),
                                                                              i2: (100 * pool.pooled.i2).round)]
          end

          def of_test(pool)
            both = %i[sensitivity specificity].to_h do |name|
              [name, pool.studies.map { |study| 100 * study.reported.values.public_send(name).estimate }.minmax]
            end
            wide = both.count { |_, (low, high)| high - low > APART }
            said = both.map { |name, (low, high)| Book.t("appraisal.inconsistency.#{name}", low: low.round, high: high.round) }
            [wide.positive? ? -1 : 0, Book.t("appraisal.inconsistency.by_paper", said: said.join(", "))]
          end

          def one_by_one(pool)
            sides = pool.results.map { |result| result.effect.negative? }
            split = sides.count(true)
            [split.zero? || split == sides.size ? 0 : -1,
             Book.t("appraisal.inconsistency.not_pooled", less: split, all: sides.size)]
          end
        end
      end
    end
  end
end

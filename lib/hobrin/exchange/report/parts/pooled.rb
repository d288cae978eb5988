# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # Each outcome that papers were put together for, with its forest.
        class Pooled < Part
          def call
            pools = material.table.rows.map(&:pool).select(&:pooled)
            section(:pooled, "What they say together", pools.flat_map { |pool| outcome(pool) })
          end

          private

          def outcome(pool)
            told = Brief::MeasuredWords.new(pool.measure)
            rows = pool.studies.map { |study| row(study, pool, told) }
            rows << ["Together", "", told.of(pool.pooled)]
            [words(pool.outcome.name, :strong), Pictures::Forest.of(pool),
             grid(pool.outcome.name, ["Paper", "With · without", capital(pool.measure.name)], rows)]
          end

          def row(study, pool, told)
            reach = pool.way.z * study.result.error
            effect = study.result.effect
            [study.record.short_name, told.groups(study.reported).compact.join(" · "),
             told.interval(effect, effect - reach, effect + reach)]
          end

          def capital(text) = text[0].upcase + text[1..]
        end
      end
    end
  end
end

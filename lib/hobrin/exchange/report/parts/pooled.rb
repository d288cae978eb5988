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
            columns = ["Paper", groups(pool), capital(pool.measure.name)]
            [words(pool.outcome.name, :strong), words(pool.arms.words), Pictures::Forest.of(pool),
             grid(pool.outcome.name, columns, rows), items(notes(pool)), items([size(pool), *Brief::PooledFacts.new(pool).call])]
          end

          def row(study, pool, told)
            reach = pool.way.z * study.result.error
            effect = study.result.effect
            [study.record.short_name, told.groups(study.reported).compact.join(" · "),
             told.interval(effect, effect - reach, effect + reach)]
          end

          def size(pool)
            people = ", #{number(pool.people)} people" if pool.people.positive?
            "#{count_of(pool.studies.size, "paper")}#{people}."
          end

          def groups(pool)
            return "Groups" unless pool.outcome.sort.compares?

            "#{capital(pool.arms.intervention_name)} · #{pool.arms.comparison_name}"
          end

          # What was done to single results before they were pooled.
          def notes(pool)
            pool.studies.reject { |study| study.reported.notes.empty? }.map do |study|
              "#{study.record.short_name}: #{study.reported.notes.join("; ")}"
            end
          end
        end
      end
    end
  end
end

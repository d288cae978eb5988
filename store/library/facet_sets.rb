# frozen_string_literal: true

require "sequel"

module Hobrin
  module Store
    class Library
      # Keeps the stored RecordSets of each value of each facet. Every batch that is added writes
      # parts of its own, so that a large library is not rewritten for a few more records; `join`
      # makes one of them again.
      class FacetSets < Base
        INSERT = "INSERT INTO facets (name, value, part, records) VALUES (?, ?, ?, ?)"
        # So many parts are joined at once.
        TOGETHER = 20_000
        private_constant :INSERT, :TOGETHER

        # numbers :: Hash of places in a Batch to the numbers under which its records are written
        def add(batch, numbers) = put(batch, numbers, numbers.values.first)

        # The same of records that are written anew: below every part that is there.
        def add_anew(batch, numbers) = put(batch, numbers, [@db[:facets].min(:part).to_i, 0].min - 1)

        # Joins the parts of each value into one; some values at a time, since all of them may be more
        # than there is room for.
        def join
          parts = Sequel.function(:count).*
          scattered = @db[:facets].group(:name, :value).having { parts > 1 }
          scattered.select_map([:name, :value, parts.as(:parts)]).group_by(&:first).each do |name, rows|
            together = [TOGETHER / rows.map(&:last).max, 1].max
            rows.map { |row| row[1] }.each_slice(together) { |values| join_values(name, values) }
          end
        end

        # Takes records out of every set; a value that nothing has any more goes.
        def remove(gone)
          changed = @db[:facets].select_map(%i[name value part
                                               records]).filter_map do |name, value, part, bytes|
            before = Records::RecordSet.load(bytes)
            left = before - gone
            [name, value, part, left] if left.size < before.size
          end
          changed.each { |name, value, part, _| @db[:facets].where(name:, value:, part:).delete }
          write(changed.reject { |*, left| left.empty? })
        end

        # The records that have any of the values.
        def set(name, values)
          stored = @db[:facets].where(name: name.to_s)
          chosen = stored.where(values.size == 1 ? { value: values } : Database::Membership.of(:value, values))
          union(chosen.select_map(:records))
        end

        def values(name)
          @db[:facets].where(name: name.to_s).distinct.order(:value).select_map(:value)
        end

        # Hash of each value of a facet to its RecordSet.
        def all(name)
          parts = @db[:facets].where(name: name.to_s).select_map(%i[value records])
          parts.group_by(&:first).transform_values { |same| union(same.map(&:last)) }
        end

        private

        def join_values(name, values)
          parts = @db[:facets].where(name:).where(Database::Membership.of(:value, values))
          joined = parts.select_map(%i[value records]).group_by(&:first)
                        .map { |value, same| [name, value, 0, union(same.map(&:last))] }
          parts.delete
          write(joined)
        end

        # part :: its number, which no other has
        def put(batch, numbers, part)
          write(batch.facets.flat_map do |name, values|
            values.filter_map do |value, places|
              set = Records::RecordSet.of(places.filter_map { |place| numbers[place] })
              [name, value, part, set] unless set.empty?
            end
          end)
        end

        def union(dumps)
          Records::RecordSet.union(dumps.map { |bytes| Records::RecordSet.load(bytes) })
        end

        def write(rows)
          @db.synchronize do |connection|
            Database::Rows.write(connection, INSERT, rows) { |name, value, part, set| [name.to_s, value, part, SQLite3::Blob.new(set.dump)] }
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    # Keeps the stored RecordSets of each value of each facet. Every batch that is added writes parts of its
    # own, so that a large library is not rewritten for a few more records; `join` makes one of them again.
    class FacetSets
      def initialize(db)
        @db = db
      end

      # numbered :: Array of [number, Records::Record] that just went in
      def add(numbered)
        gathered = Hash.new { |sets, key| sets[key] = [] }
        numbered.each do |number, record|
          gathered[[:all, "all"]] << number
          Retrieval::Facets.of(record).each { |key| gathered[key] << number }
        end
        part = numbered.first.first
        write(gathered.map { |(name, value), numbers| [name, value, part, Records::RecordSet.of(numbers)] })
      end

      # Joins the parts of each value into one.
      def join
        scattered = @db[:facets].group(:name, :value).having { count.function.* > 1 }.select_map(%i[name value])
        scattered.each do |name, value|
          whole = set(name, [value])
          @db[:facets].where(name:, value:).delete
          write([[name, value, 0, whole]])
        end
      end

      # The records that have any of the values. All values go in as one JSON text, since SQLite bounds the
      # number of bound values.
      def set(name, values)
        stored = @db[:facets].where(name: name.to_s)
        chosen = values.size == 1 ? stored.where(value: values) : stored.where(Sequel.lit("value IN (SELECT value FROM json_each(?))", JSON.generate(values)))
        Records::RecordSet.union(chosen.select_map(:records).map { |bytes| Records::RecordSet.load(bytes) })
      end

      def values(name) = @db[:facets].where(name: name.to_s).distinct.order(:value).select_map(:value)

      # Hash of each value of a facet to its RecordSet.
      def all(name)
        @db[:facets].where(name: name.to_s).select_map(%i[value records]).group_by(&:first).transform_values do |parts|
          Records::RecordSet.union(parts.map { |_, bytes| Records::RecordSet.load(bytes) })
        end
      end

      private

      def write(rows)
        @db.synchronize do |connection|
          statement = connection.prepare("INSERT INTO facets (name, value, part, records) VALUES (?, ?, ?, ?)")
          rows.each { |name, value, part, set| statement.execute(name.to_s, value, part, SQLite3::Blob.new(set.dump)) }
          statement.close
        end
      end
    end
  end
end

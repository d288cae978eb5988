# frozen_string_literal: true

module Hobrin
  module Store
    # Keeps one stored RecordSet for each value of each facet.
    class FacetSets
      def initialize(db)
        @db = db
      end

      # numbered :: Array of [number, Records::Record] that just went in
      def add(numbered)
        gathered = Hash.new { |sets, key| sets[key] = [] }
        numbered.each { |number, record| facets(record).each { |key| gathered[key] << number } }
        gathered.each { |(name, value), numbers| extend_set(name, value, Records::RecordSet.of(numbers)) }
      end

      private

      def facets(record)
        [%w[all all], *([%w[unindexed yes]] unless record.indexed?), *unstated(record),
         *([["year", record.year.to_s]] if record.year),
         *record.types.map { |type| ["type", type] }, *record.ages.map { |age| ["age", age] },
         *record.headings.map { |heading| ["heading", heading.label] },
         *record.headings.select(&:main).map { |heading| ["main", heading.label] }].uniq
      end

      # What a record does not say, a limit on it cannot let through.
      def unstated(record)
        { "type" => record.types, "age" => record.ages, "dates" => [record.year].compact }
          .select { |_, values| values.empty? }.keys.map { |name| ["unstated", name] }
      end

      def extend_set(name, value, added)
        stored = @db[:facets].where(name:, value:).get(:records)
        set = stored ? Records::RecordSet.load(stored) | added : added
        @db[:facets].insert_conflict(:replace).insert(name:, value:, records: Sequel.blob(set.dump))
      end
    end
  end
end

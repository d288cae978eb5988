# frozen_string_literal: true

module Hobrin
  module Store
    # Where records came from: the file or the catalogue that brought each.
    class Origins
      # What came in before imports were written down.
      UNKNOWN = "from before"

      def initialize(db)
        @db = db
      end

      # numbers :: of records. Gives a Hash of each to the name of what brought it.
      def of(numbers)
        parts = parts()
        numbers.to_h { |number| [number, name(parts, number)] }
      end

      # Hash of the name of each origin to how many of these records are from there, most first.
      def counts(numbers) = sorted(of(numbers).values.tally)

      # The same for the whole library. size :: how many records it has
      def all(size)
        within = (Sequel[:records][:number] >= Sequel[:import_parts][:first]) &
                 (Sequel[:records][:number] <= Sequel[:import_parts][:last])
        held = @db[:import_parts].join(:imports, id: :import_id).join(:records, within)
                                 .group_and_count(Sequel[:imports][:name]).to_hash(:name, :count)
        rest = size - held.values.sum
        sorted(rest.positive? ? { **held, UNKNOWN => rest } : held)
      end

      private

      def sorted(counts) = counts.sort_by { |name, count| [-count, name] }.to_h

      # Array of [first, last, name], in order; no two share a number.
      def parts
        @db[:import_parts].join(:imports, id: :import_id)
                          .order(:first).select_map([:first, :last, Sequel[:imports][:name]])
      end

      def name(parts, number)
        after = parts.bsearch_index { |first,| first > number } || parts.size
        _, last, name = parts[after - 1] if after.positive?
        last && number <= last ? name : UNKNOWN
      end
    end
  end
end

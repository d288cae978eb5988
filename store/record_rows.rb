# frozen_string_literal: true

module Hobrin
  module Store
    # Writes records: the row, the full text, and the stored set of each facet value.
    class RecordRows
      # A letter of Unicode's private area: a word to the full-text index, but none that can be typed, so
      # that no phrase runs from one keyword into the next.
      BETWEEN_KEYWORDS = " \u{E000} "
      private_constant :BETWEEN_KEYWORDS

      def initialize(db)
        @db = db
      end

      # records :: Array of Records::Record. Skips those whose id is there; gives how many went in.
      def add(records)
        known = @db[:records].select_hash(:id, :number)
        next_number = (known.values.max || 0) + 1
        fresh = records.uniq(&:id).reject { |record| known.key?(record.id) }
        numbered = fresh.each_with_index.map { |record, place| [next_number + place, record] }
        write(numbered)
        FacetSets.new(@db).add(numbered)
        fresh.size
      end

      private

      def write(numbered)
        numbered.each_slice(500) do |some|
          @db[:records].multi_insert(some.map { |number, record| row(number, record) })
          @db[:texts].multi_insert(some.map { |number, record| text(number, record) })
        end
      end

      def row(number, record)
        { number:, id: record.id, year: record.year, published: record.published,
          csl: JSON.generate(Exchange::CslJson::Writer.item(record)) }
      end

      def text(number, record)
        { rowid: number, title: record.title, abstract: record.abstract.to_s,
          keywords: record.keywords.join(BETWEEN_KEYWORDS) }
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    # Writes records: the row, the full text, the authors, and the stored set of each facet value;
    # and finds out which are the same paper as one that is there.
    class RecordRows
      # added :: Array of [number, Record] that went in; known :: how many were there already by id
      # clashes :: Array of Record whose id belongs to another paper; duplicates :: of the added,
      #   how many are the
      # same paper as an earlier one; known_ids :: of those that were there
      class Outcome < Value
        attributes :added, :known, :clashes, :duplicates, :known_ids
      end

      INSERT = "INSERT INTO records (number, id, published, doi, duplicate_key, csl) VALUES (?, ?, ?, ?, ?, ?)"
      private_constant :INSERT

      def initialize(db)
        @db = db
      end

      # records :: Array of Records::Record. One whose id is there is left as it is. Gives an
      #   Outcome.
      def add(records)
        there = titles(records.map(&:id))
        fresh, again = records.partition do |record|
          !there.key?(record.id) && there[record.id] = record.title
        end
        numbered = fresh.zip(next_number..).map(&:reverse)
        write(numbered)
        FacetSets.new(@db).add(numbered) if numbered.any?
        clashes = again.reject { |record| same_title?(record.title, there[record.id]) }
        Outcome.new(added: numbered, known: again.size - clashes.size, clashes:,
                    known_ids: (again - clashes).map(&:id).uniq, duplicates: Duplicates.new(@db).link(numbered))
      end

      private

      # A number is given once, also when its record was taken out again.
      def next_number
        [@db[:records].max(:number), @db[:versions].max(:highest)].compact.max.to_i + 1
      end

      # Hash of id to title for those of the ids that are there.
      def titles(ids)
        @db[:records].where(Membership.of(:id, ids))
                     .select_hash(:id, Sequel.lit("csl ->> '$.title'").as(:title))
      end

      def same_title?(one, two) = Text::Tokens.line(one) == Text::Tokens.line(two)

      def write(numbered)
        @db.synchronize do |connection|
          Rows.write(connection, INSERT, numbered) { |number, record| row(number, record) }
        end
        WordRows.new(@db).add(numbered)
        Citations.new(@db).add(numbered)
      end

      def row(number, record)
        [number, record.id, record.published, Records::DuplicateKey.doi(record), Records::DuplicateKey.key(record),
         JSON.generate(Exchange::CslJson::Writer.item(record))]
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    # Writes records: the row, the full text, the authors, and the stored set of each facet value;
    # and finds out which are the same paper as one that is there.
    class RecordRows
      # added :: Array of [number, Record] that went in; known_ids :: of those that were there already;
      #   known :: how many times one of them was met
      # duplicates :: of the added, how many are the same paper as an earlier one
      class Outcome < Value
        attributes :added, :known, :duplicates, :known_ids
      end

      INSERT = "INSERT INTO records (number, id, published, doi, duplicate_key, csl) VALUES (?, ?, ?, ?, ?, ?)"
      private_constant :INSERT

      def initialize(db)
        @db = db
      end

      # records :: Array of Records::Record. One whose id is there is left as it is; where that is
      # another paper's, since many files count from 1, it gets an id of its own. Gives an Outcome.
      def add(records)
        fresh, again, others = sorted(records)
        more, once_more, = sorted(others.map { |record| record.with(id: Exchange::Identity.apart(record)) })
        numbered = (fresh + more).zip(next_number..).map(&:reverse)
        write(numbered)
        FacetSets.new(@db).add(numbered) if numbered.any?
        known = again + once_more
        Outcome.new(added: numbered, known: known.size, known_ids: known.map(&:id).uniq,
                    duplicates: Duplicates.new(@db).link(numbered))
      end

      private

      # A number is given once, also when its record was taken out again.
      def next_number
        [@db[:records].max(:number), @db[:versions].max(:highest)].compact.max.to_i + 1
      end

      # [those that are new, those that are there, those whose id is another paper's]
      def sorted(records)
        there = titles(records.map(&:id))
        fresh, again = records.partition { |record| !there.key?(record.id) && there[record.id] = record.title }
        [fresh, *again.partition { |record| same_title?(record.title, there[record.id]) }]
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

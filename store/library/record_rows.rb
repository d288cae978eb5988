# frozen_string_literal: true

module Hobrin
  module Store
    # Writes records: the row, the full text, the authors, and the stored set of each facet value;
    # and finds out which are the same paper as one that is there.
    class RecordRows
      # added :: Array of the numbers of those that went in; known_ids :: of those that were there
      #   already; known :: how many times one of them was met
      # duplicates :: of the added, how many are the same paper as an earlier one
      class Outcome < Value
        attributes :added, :known, :duplicates, :known_ids
      end

      INSERT = "INSERT INTO records (number, id, published, doi, duplicate_key, csl) VALUES (?, ?, ?, ?, ?, ?)"
      private_constant :INSERT

      def initialize(db)
        @db = db
      end

      # batch :: Batch. A record whose id is there is left as it is; where that is another paper's,
      # since many files count from 1, it gets an id of its own. Gives an Outcome.
      def add(batch)
        fresh, again, others = sorted(batch)
        apart = Batch.of(others.map { |place| apart(batch.record(place)) })
        more, once_more, = sorted(apart)
        added = write(batch, fresh) + write(apart, more)
        known = batch.ids.values_at(*again) + apart.ids.values_at(*once_more)
        Outcome.new(added:, known: known.size, known_ids: known.uniq, duplicates: Duplicates.new(@db).link(added))
      end

      private

      def apart(record) = record.with(id: Exchange::Entry::Identity.apart(record))

      # A number is given once, also when its record was taken out again.
      def next_number
        [@db[:records].max(:number), @db[:versions].max(:highest)].compact.max.to_i + 1
      end

      # The places of [those that are new, those that are there, those whose id is another paper's].
      def sorted(batch)
        there = titles(batch.ids)
        fresh, others = batch.ids.each_index.partition do |place|
          !there.key?(batch.ids[place]) && there[batch.ids[place]] = batch.titles[place]
        end
        [fresh, *others.partition { |place| there[batch.ids[place]] == batch.titles[place] }]
      end

      # Hash of id to folded title for those of the ids that are there.
      def titles(ids)
        @db[:records].where(Membership.of(:id, ids))
                     .select_hash(:id, Sequel.lit("csl ->> '$.title'").as(:title))
                     .transform_values { |title| Text::Tokens.line(title) }
      end

      # Writes the records at some places. Gives their numbers.
      def write(batch, places)
        return [] if places.empty?

        first = next_number
        numbers = places.each_with_index.to_h { |place, after| [place, first + after] }
        @db.synchronize do |connection|
          Rows.write(connection, INSERT, numbers) do |place, number|
            [number, batch.ids[place], *batch.rows[place]]
          end
        end
        [WordRows, Citations, FacetSets].each { |table| table.new(@db).add(batch, numbers) }
        numbers.values
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Reads records out of the library: by id, by number, by set.
      class StoredRecords < Base
        # How many records of a set are looked up by their own rows; more are found along the dates
        # instead.
        FEW = 2_000
        # How many records that were read are kept: a list is shown again after each decision. A
        # record changes only with the version of the library, and takes some ten kilobytes.
        MOST_RECORDS = 6_000
        private_constant :FEW, :MOST_RECORDS

        # The block gives the RecordSet of each date on which papers were published.
        def initialize(db, &dates)
          super(db)
          @dates = dates
          @read = Kept.new(most: MOST_RECORDS)
        end

        # Lets what was read go, when records may have changed.
        def forget = @read = Kept.new(most: MOST_RECORDS)

        # The record with this id, or nil.
        def record(id) = records(@db[:records].where(id:)).first

        # The record with this number, or nil.
        def numbered(number) = records(@db[:records].where(number:)).first

        # The number of the record with this id, or nil.
        def number(id) = @db[:records].where(id:).get(:number)

        # Hash of each of these ids to the number of its record; unknown ids are left out.
        def numbers(ids)
          ids.each_slice(500).flat_map { |some| @db[:records].where(id: some).select_map(%i[id number]) }.to_h
        end

        # The records with these ids, in that order; unknown ids are left out.
        def records_by_id(ids)
          found = ids.each_slice(500).flat_map { |some| records(@db[:records].where(id: some)) }
          by_id = found.to_h { |record| [record.id, record] }
          by_id.values_at(*ids).compact
        end

        # The records of a RecordSet, newest first, at most `limit`.
        def newest(set, limit:) = records(newest_rows(set, limit))

        # The records with these numbers, in that order.
        def numbered_all(numbers)
          rows = numbers.each_slice(500).flat_map { |some| @db[:records].where(number: some).select_map(%i[number csl]) }.to_h
          numbers.filter_map { |number| rows[number] && read(number, rows[number]) }
        end

        # The newest records of a RecordSet as a RecordSet.
        def newest_set(set, limit:)
          Records::RecordSet.of(newest_rows(set, limit).select_map(:number))
        end

        # The records with these ids as a RecordSet.
        def set(ids)
          Records::RecordSet.of(ids.each_slice(500).flat_map { |some| @db[:records].where(id: some).select_map(:number) })
        end

        # The ids of a RecordSet, newest first.
        def ids(set, limit: nil) = newest_rows(set, limit || set.size).select_map(:id)

        private

        def newest_rows(set, limit)
          return @db[:records].where(false) if limit.zero?

          set = latest(set, limit) if set.size > FEW
          @db[:records].where(Database::Membership.of(:number, set.to_a))
                       .order(Sequel.desc(:published), :number).limit(limit)
        end

        # Enough of the latest dates of a set to make `limit` records.
        def latest(set, limit)
          dates = @dates.call
          found = dates.keys.sort.reverse.reduce(Records::RecordSet.empty) do |some, date|
            break some if some.size >= limit

            some | (set & dates[date])
          end
          found.size < limit ? set : found
        end

        def records(dataset)
          dataset.select_map(%i[number csl]).map { |number, csl| read(number, csl) }
        end

        def read(number, csl)
          @read.fetch(number) { Exchange::CslJson::Reader.kept(JSON.parse(csl, freeze: true)) }
        end
      end
    end
  end
end

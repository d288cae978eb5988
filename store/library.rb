# frozen_string_literal: true

require "sequel"

module Hobrin
  module Store
    # The rebuildable library: records and thesaurus in one SQLite file.
    class Library
      # index :: the full-text Index over this library
      attr_reader :index

      def initialize(db)
        @db = db
        @index = Index.new(db)
        @lock = Mutex.new
      end

      def inspect = "#<#{self.class}>"

      # Changes whenever records or headings do.
      def version = meta("version") || "0"

      def sample? = meta("sample") == "yes"

      def size = @db[:records].count

      def empty? = size.zero?

      # The thesaurus as a core value, read once for each version of the library.
      def thesaurus
        now = version
        @lock.synchronize do
          @thesaurus = [now, HeadingRows.new(@db).read] unless @thesaurus&.first == now
          @thesaurus.last
        end
      end

      # The record with this id, or nil.
      def record(id) = records(@db[:records].where(id:)).first

      # The records with these ids, in that order; unknown ids are left out.
      def records_by_id(ids)
        found = ids.each_slice(500).flat_map { |some| records(@db[:records].where(id: some)) }
        by_id = found.to_h { |record| [record.id, record] }
        by_id.values_at(*ids).compact
      end

      # The records of a RecordSet, newest first, at most `limit`.
      def newest(set, limit:)
        rows = in_set(set).order(Sequel.desc(:published), :number).limit(limit)
        records(rows)
      end

      # The ids of a RecordSet, newest first.
      def ids(set) = in_set(set).order(Sequel.desc(:published), :number).select_map(:id)

      # Replaces the headings of the library. Takes a Thesaurus.
      def write_thesaurus(thesaurus)
        changing { HeadingRows.new(@db).write(thesaurus) }
      end

      # Adds records that are not there yet, by id, and gives how many were added.
      # sample :: says that the library holds made-up records
      def add(records, sample: false)
        changing do
          meta_write("sample", "yes") if sample
          RecordRows.new(@db).add(records)
        end
      end

      private

      # One transaction; afterwards the library has a new version.
      def changing
        @db.transaction(mode: :immediate) do
          result = yield
          meta_write("version", (version.to_i + 1).to_s)
          result
        end
      end

      def meta(name) = @db[:meta].where(name:).get(:value)

      def meta_write(name, value) = @db[:meta].insert_conflict(target: :name, update: { value: }).insert(name:, value:)

      # A large set goes in as one JSON text, since SQLite bounds the number of bound values.
      def in_set(set)
        @db[:records].where(Sequel.lit("number IN (SELECT value FROM json_each(?))", JSON.generate(set.to_a)))
      end

      def records(dataset)
        dataset.select_map(:csl).map { |csl| Exchange::CslJson::Reader.item(JSON.parse(csl)) }
      end
    end
  end
end

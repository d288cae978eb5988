# frozen_string_literal: true

require "forwardable"
require "securerandom"
require "sequel"

module Hobrin
  module Store
    # The rebuildable library: records and thesaurus in one SQLite file.
    class Library
      extend Forwardable

      # Which records are the same paper.
      attr_reader :duplicates

      # Who cites whom.
      attr_reader :citations

      def initialize(db)
        @db = db
        @duplicates = Duplicates.new(db)
        @citations = Citations.new(db)
        @lock = Mutex.new
        @stored = StoredRecords.new(db) { index.sets(:dates) }
      end

      def inspect = "#<#{self.class}>"

      # Changes whenever records or headings do. No two libraries share one: it begins with a mark
      # that each gets when it is made, so that a library built anew is not taken for the one before
      # it.
      def version = meta("version") || "0"

      # The records that were here at an earlier version, as a RecordSet; nil for a version of
      # another library. What their headings were then is not known any more.
      def at(version)
        highest = version == "0" ? 0 : @db[:versions].where(version:).get(:highest)
        highest && Records::RecordSet.of((1..highest).to_a) & index.everything
      end

      # The library as it is now, read once for each version.
      def now
        @lock.synchronize { @now = @now&.version == version ? @now : snapshot }
      end

      def index = now.index
      def thesaurus = now.thesaurus
      def size = now.size
      def sample? = now.sample?

      def empty? = @db[:records].empty?

      # How far the loading of the sample got, as the loader names it; nil when none was begun, or
      # it came to its end.
      def loading = meta("loading")

      # stage :: String, or nil at the end
      def mark_loading(stage)
        Trouble.told do
          stage ? meta_write("loading", stage) : @db[:meta].where(name: "loading").delete
        end
      end

      # Records by id, by number and by set; see StoredRecords.
      def_delegators :@stored, :record, :numbered, :number, :numbers, :records_by_id, :newest, :numbered_all,
                     :newest_set, :set, :ids

      # How close the records of a RecordSet are to phrases; see Closeness.
      def closeness(set, phrases) = Closeness.new(@db).call(set, phrases)

      # The papers most like a record, as an Array of [Record, likeness]; see Alike.
      def alike(record, limit:)
        Alike.new(@db, likeness).call(record, limit:) { |numbers| numbered_all(numbers) }
      end

      # Hash of each of these numbers to the Sifting::Traits of its record.
      def traits(numbers) = now.traits.fetch(numbers) { |some| numbered_all(some) }

      # What likeness of papers is told by, in the library as it is now.
      def likeness = Sifting::Likeness.new(size:, counts: index.word_counts)

      # Replaces the headings of the library. Takes a Thesaurus.
      def write_thesaurus(thesaurus)
        changing { HeadingRows.new(@db).write(thesaurus) }
      end

      # Adds one batch of records that are not there yet, by id, in one transaction. Gives
      # RecordRows::Outcome.
      # sample :: says that the library holds made-up records; progress :: [digest of the file,
      #   entries read so far]
      def add(records, sample: false, progress: nil)
        changing do
          meta_write("sample", "yes") if sample
          remember(*progress) if progress
          RecordRows.new(@db).add(records)
        end
      end

      # How many entries of a file are in already, when its import was stopped; 0 otherwise.
      def entries_read(digest) = @db[:imports].where(digest:).get(:entries) || 0

      # Ends an import: what was remembered of it is let go, and what its batches wrote is joined.
      def finish_import(digest)
        changing do
          @db[:imports].where(digest:).delete
          FacetSets.new(@db).join
          WordRows.new(@db).count
        end
      end

      # Writes a copy of the whole library to a file that does not exist yet.
      def backup(path) = Database.copy(@db, path)

      private

      # One transaction; afterwards the library has a new version.
      def changing
        Trouble.told do
          @db.transaction(mode: :immediate) do
            result = yield
            meta_write("version", following(version))
            @db[:versions].insert(version:, highest: @db[:records].max(:number) || 0)
            result
          end
        end
      end

      # "3fa29c.4" after "3fa29c.3"
      def following(version)
        mark, number = version.split(".")
        number ? "#{mark}.#{number.to_i + 1}" : "#{SecureRandom.hex(3)}.1"
      end

      def snapshot
        @db.transaction do
          Snapshot.new(version:, index: Index.new(@db) { |number| numbered(number) }.tap(&:everything),
                       thesaurus: HeadingRows.new(@db).read, size: @db[:records].count,
                       sample: meta("sample") == "yes", traits: KeptTraits.new { likeness })
        end
      end

      def remember(digest, entries)
        replacing = @db[:imports].insert_conflict(target: :digest, update: { entries: })
        replacing.insert(digest:, entries:)
      end

      def meta(name) = @db[:meta].where(name:).get(:value)

      def meta_write(name, value)
        @db[:meta].insert_conflict(target: :name, update: { value: }).insert(name:, value:)
      end
    end
  end
end

# frozen_string_literal: true

require "forwardable"
require "securerandom"
require "sequel"

module Hobrin
  module Store
    # The rebuildable library: records and thesaurus in one SQLite file.
    class Library < Base
      extend Forwardable

      # Which records are the same paper; who cites whom; what came in; which heading a name from
      # outside stands for; the catalogues that can be asked; records in the order of their days;
      # where each came from; the thesauri that came in.
      attr_reader :duplicates, :citations, :imports, :matches, :sources, :harvest, :origins,
                  :thesauri

      def initialize(db)
        super
        @duplicates = Duplicates.new(db)
        @citations = Nearness::Citations.new(db)
        @imports = Imports.new(db)
        @matches = HeadingMatches.new(db)
        @sources = Sources.new(db)
        @harvest = Harvest.new(db)
        @origins = Imports::Origins.new(db)
        @thesauri = Thesauri.new(db)
        @lock = Mutex.new
        @stored = StoredRecords.new(db) { index.sets(:dates) }
      end

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
        @lock.synchronize do
          next @now if @now&.version == version

          # What was read of records may have been written anew.
          @stored.forget
          @now = snapshot
        end
      end

      def_delegators :now, :index, :thesaurus, :size, :sample?

      def empty? = @db[:records].empty?

      # How far the loading of the sample got, as the loader names it; nil when none was begun, or
      # it came to its end.
      def loading = meta("loading")

      # stage :: String, or nil at the end
      def mark_loading(stage)
        Database::Trouble.told do
          stage ? meta_write("loading", stage) : @db[:meta].where(name: "loading").delete
        end
      end

      # Records by id, by number and by set; see StoredRecords.
      def_delegators :@stored, :record, :numbered, :number, :numbers, :records_by_id, :newest, :numbered_all,
                     :newest_set, :set, :ids

      # How close the records of a RecordSet are to phrases; see Closeness.
      def closeness(set, phrases) = Nearness::Closeness.new(@db).call(set, phrases)

      # The papers most like a record, as an Array of [Record, likeness]; see Alike.
      def alike(record, limit:)
        Nearness::Alike.new(@db, likeness).call(record, limit:) { |numbers| numbered_all(numbers) }
      end

      # Hash of each of these numbers to the Screening::Likeness::Traits of its record.
      def traits(numbers) = now.traits.fetch(numbers) { |some| numbered_all(some) }

      # What likeness of papers is told by, in the library as it is now.
      def likeness = Screening::Likeness.new(size:, counts: index.word_counts)

      # Replaces the headings of the library. Takes a Thesaurus.
      def write_thesaurus(thesaurus, name: Book.t("errors.library.thesaurus_name"), at: nil)
        changing { @thesauri.keep(thesaurus, name:, at:) }
      end

      # Takes another of those that came in into use. Raises GoneError.
      def use_thesaurus(id) = changing { @thesauri.use(id) }

      # Adds one batch of records that are not there yet, by id, in one transaction. Gives RecordRows::Outcome.
      # sample :: says that the library holds made-up records. The block, if any, is given the
      #   outcome and writes down what came of it in the same transaction.
      def add(records, sample: false, &written) = add_batch(RecordRows::Batch.of(records), sample:, &written)

      # The same of records that are laid out already, as a Batch. renew :: whether one whose id is
      #   there is that one as it is now
      def add_batch(batch, sample: false, renew: false)
        changing do
          meta_write("sample", "yes") if sample
          Rewriting::Renewal.new(@db).call(batch) if renew
          RecordRows.new(@db).add(batch).tap { |outcome| yield outcome if block_given? }
        end
      end

      # Ends an import: what its batches wrote is joined. at :: ISO 8601; message :: what is to be
      #   said of it, or nil
      def finish_import(import, at:, message: nil)
        changing do
          FacetSets.new(@db).join
          RecordRows::WordRows.new(@db).count
          @db[:imports].where(id: import.id).update(state: "done", ended_at: at, message:)
        end
      end

      # Keeps the sets of frequent words ready, after an import. Nothing that is answered changes, but
      # how soon.
      def keep_frequent_words = FrequentWords.new(@db).keep

      # Gives the papers that carry a name the heading that it stands for, or of a match that goes,
      # the name again. Gives how many changed.
      def apply_match(match)
        changing do
          indexing = Exchange::Indexing.new(Thesauri::HeadingRows.new(@db).read, matches: @matches.names)
          @matches.apply(match) { |record| indexing.call(record) }
        end
      end

      # Takes back all records that an import brought. Gives how many. at :: ISO 8601
      def take_back(import, at:)
        changing do
          gone = Rewriting::Removal.new(@db).call(@imports.parts(import.id), at:)
          RecordRows::WordRows.new(@db).count
          @db[:import_parts].where(import_id: import.id).delete
          @db[:imports].where(id: import.id).update(state: "taken back", ended_at: at)
          forget_sample if import.sample
          gone
        end
      end

      # Takes out records that their source no longer has. ids :: of records. Gives how many went.
      def take_out(ids, at:)
        numbers = @stored.numbers(ids).values
        return 0 if numbers.empty?

        changing do
          Rewriting::Removal.new(@db).call(numbers.map { |number| number..number }, at:).tap { RecordRows::WordRows.new(@db).count }
        end
      end

      # Writes a copy of the whole library to a file that does not exist yet.
      def backup(path) = Database.copy(@db, path, kind: :library)

      private

      # One transaction; afterwards the library has a new version.
      def changing
        Database::Trouble.told do
          @db.transaction(mode: :immediate) do
            result = yield
            meta_write("version", following(version))
            highest = [@db[:records].max(:number), @db[:versions].max(:highest)].compact.max || 0
            @db[:versions].insert(version:, highest:)
            result
          end
        end
      end

      # Once the last made-up papers are out, nothing says any more that papers are made up.
      def forget_sample
        @db[:meta].where(name: "sample").delete if @db[:imports].where(sample: true, state: "done").empty?
      end

      # "3fa29c.4" after "3fa29c.3"
      def following(version)
        mark, number = version.split(".")
        number ? "#{mark}.#{number.to_i + 1}" : "#{SecureRandom.hex(3)}.1"
      end

      def snapshot
        @db.transaction do
          Index::Snapshot.new(version:, index: Index.new(@db) { |number| numbered(number) }.tap(&:everything),
                              thesaurus: Thesauri::HeadingRows.new(@db).read, size: @db[:records].count,
                              sample: meta("sample") == "yes", traits: Nearness::KeptTraits.new { likeness })
        end
      end

      def meta(name) = @db[:meta].where(name:).get(:value)

      def meta_write(name, value) = @db[:meta].insert_conflict(target: :name, update: { value: }).insert(name:, value:)
    end
  end
end

# frozen_string_literal: true

require "fileutils"
require "sequel"
require "sqlite3"

Sequel.extension :migration
# A process that only reads a file ahead is forked from one that writes; it leaves the databases
# alone.
SQLite3::ForkSafety.suppress_warnings!

module Hobrin
  module Store
    # Opens one SQLite file as Hobrin needs it, with its migrations run: write-ahead log, foreign
    # keys on, five seconds of patience when another process writes, readable by its owner only.
    #
    # A change of an inquiry that was answered is on the disk, also when the power goes (synchronous
    # FULL: the log is flushed at each commit). The library, which can be built again, is flushed
    # only now and then (NORMAL): power loss may take its last batches, never its shape.
    module Database
      MIGRATIONS = File.expand_path("../db/migrations", __dir__)
      BUSY_MILLISECONDS = 5_000
      # The driver's own time-out waits without letting other Ruby threads run, among them the one
      # that holds the lock; this one lets them.
      PATIENCE = ->(connection) { connection.busy_handler_timeout = BUSY_MILLISECONDS }
      # What was new last in each kind, as [table, column]: until the first release a step of the
      # migrations may be written anew, and a file from before lacks it.
      NEWEST = { inquiries: %i[trail facts], library: %i[records duplicate_of], people: %i[audit print] }.freeze
      SYNCHRONOUS = { inquiries: "FULL", library: "NORMAL", people: "FULL" }.freeze
      OWNER_ONLY = 0o600
      # What is raised where a database cannot be read.
      Unreadable = Sequel::DatabaseError
      # Stands in a home while a backup is put into it.
      HALF = "restoring"
      DAMAGE = [SQLite3::CorruptException, SQLite3::NotADatabaseException].freeze
      private_constant :MIGRATIONS, :BUSY_MILLISECONDS, :PATIENCE, :NEWEST, :SYNCHRONOUS, :OWNER_ONLY,
                       :DAMAGE

      # Where the migrations of a kind are.
      def self.migrations(kind) = File.join(MIGRATIONS, kind.to_s)

      # path :: of the file, made with its folder when missing; kind :: :inquiries, :library or :people
      # connections :: as many as there are threads that use it at once
      # Raises StateError when the folder cannot be written, or the file is from before the first
      # release.
      def self.open(path, kind:, connections: 1)
        FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
        refuse_half(path, kind)
        make(path)
        db = Sequel.sqlite(path.to_s, foreign_keys: true, after_connect: PATIENCE, max_connections: connections,
                                      connect_sqls: ["PRAGMA journal_mode=WAL",
                                                     "PRAGMA synchronous=#{SYNCHRONOUS.fetch(kind)}"])
        Timely.make(db)
        refuse_damaged(db, path, kind)
        Sequel::Migrator.run(db, migrations(kind))
        Library::Rebuilds.call(db) if kind == :library
        table, column = NEWEST.fetch(kind)
        return db if db.from(table).columns.include?(column)

        raise StateError,
              Book.t("errors.database.too_old", path:)
      rescue SystemCallError, Sequel::DatabaseConnectionError, Sequel::DatabaseError => e
        raise StateError, damaged(path, kind) if e.respond_to?(:wrapped_exception) && DAMAGE.include?(e.wrapped_exception.class)

        raise StateError, Book.t("errors.database.cannot_write", path:, reason: e.message.sub(/\A[\w:]+: /, ""))
      end

      # A home in which a backup was half put, one whose inquiries are gone while its people are there, and
      # a file with nothing in it are no first start.
      def self.refuse_half(path, kind)
        folder = File.dirname(path)
        raise StateError, Book.t("errors.database.half_restored", folder:, home: folder) if File.exist?(File.join(folder, HALF))
        # A copy that is being written has another name.
        return if kind == :library || File.basename(path) != "#{kind}.sqlite3"

        raise StateError, damaged(path, kind) if File.exist?(path) && File.empty?(path)

        other = { inquiries: "people", people: "inquiries" }.fetch(kind)
        missing = !File.exist?(path) && File.size?(File.join(folder, "#{other}.sqlite3")) && !fresh?(folder, other)
        return unless missing

        raise StateError, Book.t("errors.database.half_home", path:, other:)
      end

      # Whether the other database has nothing in it yet: a first start that was cut off.
      def self.fresh?(folder, other)
        db = Sequel.sqlite(File.join(folder, "#{other}.sqlite3"), readonly: true, keep_reference: false)
        table = other == "people" ? :accounts : :inquiries
        return true unless db.table_exists?(table)

        # At a desk alone nobody owns anything, and people are nobody.
        rows = table == :inquiries && db[table].columns.include?(:owner_id) ? db[table].exclude(owner_id: nil) : db[table]
        rows.empty?
      rescue Sequel::Error
        false
      ensure
        db&.disconnect
      end

      # What is said of a database that could not be read, in a sentence.
      def self.trouble(error)
        return Book.t("errors.database.damaged_somewhere") if DAMAGE.include?(error.wrapped_exception.class)

        Book.t("errors.database.unreadable", error: error.wrapped_exception.class.name.split("::").last)
      end

      # For its owner only from the first moment. A file that is there is never opened but by SQLite: to
      # close it would drop every lock that this process has on it (SQLite, "How To Corrupt An SQLite
      # Database File", 2.2), and another process would take it for unused.
      def self.make(path)
        File.open(path, File::CREAT | File::EXCL | File::WRONLY, OWNER_ONLY, &:fsync) unless File.exist?(path)
        File.chmod(OWNER_ONLY, path)
      rescue Errno::EEXIST
        nil
      end

      # Inquiries and people are looked through at each start; a library, which is large, where it
      # is read.
      def self.refuse_damaged(db, path, kind)
        return if kind == :library
        return if db.fetch("PRAGMA quick_check(1)").single_value == "ok"

        raise StateError, damaged(path, kind)
      end

      def self.damaged(path, kind)
        Book.t("errors.database.#{kind == :library ? "library_damaged" : "restore_damaged"}", path:)
      end
      private_class_method :make, :refuse_damaged, :damaged, :refuse_half, :fresh?

      # Looks through a file that nothing has open. Raises StateError for one that is not whole.
      def self.check(path)
        db = Sequel.sqlite(path.to_s, readonly: true, keep_reference: false)
        whole = db.fetch("PRAGMA integrity_check(1)").single_value == "ok"
        raise StateError, Book.t("errors.database.damaged", path:) unless whole
      rescue Sequel::Error
        raise StateError, Book.t("errors.database.damaged", path:)
      ensure
        db&.disconnect
      end

      # Writes a copy of a database, as it is at one moment, to a path where there is no file yet: an
      # SQLite file, also of one that is kept elsewhere. Raises StateError.
      def self.copy(db, path, kind:)
        raise StateError, Book.t("errors.database.left_as_is", path:) if File.exist?(path)

        # Written beside it and then renamed, so that one that fails leaves nothing in the way.
        part = "#{path}.part"
        FileUtils.rm_f(part)
        db.database_type == :sqlite ? db.run(Sequel.lit("VACUUM INTO ?", part)) : Postgres.copy(db, part, kind:)
        File.chmod(OWNER_ONLY, part)
        File.rename(part, path)
      rescue Sequel::DatabaseError, SystemCallError => e
        FileUtils.rm_f(part) if part
        raise StateError, Book.t("errors.database.cannot_write", path:, reason: e.message.sub(/\A[\w:]+: /, ""))
      end

      # Writes many rows with one prepared statement, which is most of the time of an import: the
      # driver's `execute` makes a result set for each row, a statement built anew is parsed anew, and
      # its way to bind all values at once looks for hashes and lists among them.
      module Rows
        # connection :: the driver's; sql :: an INSERT; rows :: whatever the block turns into an Array
        #   of values
        def self.write(connection, sql, rows)
          statement = connection.prepare(sql)
          rows.each do |row|
            yield(row).each.with_index(1) { |value, place| statement.bind_param(place, value) }
            statement.step
            statement.reset!
          end
        ensure
          statement&.close
        end
      end

      # "Is one of these", for any number of values: they go in as one JSON text, since SQLite bounds
      # the number of bound values.
      module Membership
        # column :: Symbol; values :: Array of Integer or String. Gives a condition for Sequel.
        def self.of(column, values)
          Sequel.lit("? IN (SELECT value FROM json_each(?))", column, JSON.generate(values))
        end
      end

      # What keeps a database from writing, in words.
      module Trouble
        # What went wrong, as the book names it.
        REASONS = { SQLite3::BusyException => :busy, SQLite3::LockedException => :busy, SQLite3::FullException => :full,
                    SQLite3::ReadOnlyException => :read_only, SQLite3::IOException => :disk,
                    SQLite3::CantOpenException => :cannot_open }.freeze
        # Of a database that is a server of its own.
        AWAY = [Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError].freeze
        # One writer after the other: SQLite takes the lock at once; a server finds out at the end that
        # two were at the same thing, and the later one begins again.
        ONE_BY_ONE = { mode: :immediate, isolation: :serializable, num_retries: 20,
                       retry_on: [Sequel::SerializationFailure] }.freeze
        private_constant :REASONS, :AWAY, :ONE_BY_ONE

        # Writes what the block writes, or nothing. Gives what it gives. Raises UnavailableError.
        def self.writing(db, &)
          db.in_transaction? ? yield : told { db.transaction(**ONE_BY_ONE, &) }
        end

        # Gives what the block gives. Raises UnavailableError where the database could not write.
        def self.told
          yield
        rescue Sequel::DatabaseError => e
          away! if AWAY.any? { |kind| e.is_a?(kind) }

          reason = REASONS.find { |kind, _| e.wrapped_exception.is_a?(kind) }&.last or raise
          raise UnavailableError, Book.t("errors.database.reason.#{reason}")
        end

        # Writes files. Gives what the block gives. Raises UnavailableError where the disk cannot.
        def self.disk
          yield
        rescue Errno::ENOSPC, Errno::EDQUOT
          raise UnavailableError, Book.t("errors.database.make_room")
        rescue Errno::EIO, Errno::EROFS, Errno::EACCES
          raise UnavailableError, Book.t("errors.database.cannot_be_written")
        end

        def self.away! = raise(UnavailableError, Book.t("errors.database.no_answer"))
        private_class_method :away!
      end
    end
  end
end

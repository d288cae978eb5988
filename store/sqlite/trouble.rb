# frozen_string_literal: true

require "sequel"
require "sqlite3"

module Hobrin
  module Store
    # What keeps a database from writing, in words.
    module Trouble
      WORDS = {
        SQLite3::BusyException => "Another program holds the data just now.",
        SQLite3::LockedException => "Another program holds the data just now.",
        SQLite3::FullException => "The disk is full.",
        SQLite3::ReadOnlyException => "The data can only be read, not written.",
        SQLite3::IOException => "The disk does not answer as it should.",
        SQLite3::CantOpenException => "The data cannot be opened for writing."
      }.freeze
      # Of a database that is a server of its own.
      AWAY = [Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError].freeze
      # One writer after the other: SQLite takes the lock at once; a server finds out at the end that
      # two were at the same thing, and the later one begins again.
      ONE_BY_ONE = { mode: :immediate, isolation: :serializable, num_retries: 20,
                     retry_on: [Sequel::SerializationFailure] }.freeze
      private_constant :WORDS, :AWAY, :ONE_BY_ONE

      # Writes what the block writes, or nothing. Gives what it gives. Raises UnavailableError.
      def self.writing(db, &)
        db.in_transaction? ? yield : told { db.transaction(**ONE_BY_ONE, &) }
      end

      # Gives what the block gives. Raises UnavailableError where the database could not write.
      def self.told
        yield
      rescue Sequel::DatabaseError => e
        away! if AWAY.any? { |kind| e.is_a?(kind) }

        words = WORDS.find { |kind, _| e.wrapped_exception.is_a?(kind) }&.last or raise
        raise UnavailableError, "#{words} Nothing was changed: try again in a moment."
      end

      # Writes files. Gives what the block gives. Raises UnavailableError where the disk cannot.
      def self.disk
        yield
      rescue Errno::ENOSPC, Errno::EDQUOT
        raise UnavailableError, "#{WORDS.fetch(SQLite3::FullException)} Nothing was changed: make room, then try again."
      rescue Errno::EIO, Errno::EROFS, Errno::EACCES
        raise UnavailableError, "#{WORDS.fetch(SQLite3::ReadOnlyException)} Nothing was changed."
      end

      def self.away! = raise(UnavailableError, "The database does not answer. Try again in a moment.")
      private_class_method :away!
    end
  end
end

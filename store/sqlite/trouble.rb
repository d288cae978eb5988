# frozen_string_literal: true

require "sequel"
require "sqlite3"

module Hobrin
  module Store
    # What keeps SQLite from writing, in words.
    module Trouble
      WORDS = {
        SQLite3::BusyException => "Another program holds the data just now.",
        SQLite3::LockedException => "Another program holds the data just now.",
        SQLite3::FullException => "The disk is full.",
        SQLite3::ReadOnlyException => "The data can only be read, not written.",
        SQLite3::IOException => "The disk does not answer as it should.",
        SQLite3::CantOpenException => "The data cannot be opened for writing."
      }.freeze
      private_constant :WORDS

      # Gives what the block gives. Raises UnavailableError where the database could not write.
      def self.told
        yield
      rescue Sequel::DatabaseError => e
        words = WORDS.find { |kind, _| e.wrapped_exception.is_a?(kind) }&.last or raise
        raise UnavailableError, "#{words} Nothing was changed: try again in a moment."
      end
    end
  end
end

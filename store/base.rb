# frozen_string_literal: true

module Hobrin
  module Store
    # What stores over one database have in common.
    class Base
      # db :: Sequel::Database
      def initialize(db)
        @db = db
      end

      # Short, so that an error's message never prints what is kept.
      def inspect = "#<#{self.class}>"

      # Raises UnavailableError, in words, while nothing can be written.
      def writing(&) = Database::Trouble.writing(@db, &)
    end
  end
end

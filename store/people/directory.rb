# frozen_string_literal: true

module Hobrin
  module Store
    # Everything that is kept of people, in one file of its own.
    class Directory
      # accounts :: Accounts; wards :: Wards; invitations :: Invitations; audit :: Audit; tries ::
      #   Tries
      attr_reader :accounts, :wards, :invitations, :audit, :tries

      def initialize(db)
        @db = db
        @accounts = Accounts.new(db)
        @wards = Wards.new(db)
        @invitations = Invitations.new(db)
        @audit = Audit.new(db)
        @tries = Tries.new(db)
      end

      def inspect = "#<#{self.class}>"

      # Does several things, or none of them. Raises UnavailableError.
      def writing(&) = Trouble.writing(@db, &)

      # Writes a copy of all of it to a file that does not exist yet. Raises StateError.
      def backup(path) = Database.copy(@db, path, kind: :people)
    end
  end
end

# frozen_string_literal: true

require "digest"

module Hobrin
  module Store
    # How often in a row a name was tried with a wrong password. It is the same for a name that
    # nobody has, so that nothing is told by it.
    class Tries
      def initialize(db)
        @db = db
      end

      # How many since a time (ISO 8601).
      def count(login, since:)
        @db[:tries].where(digest: digest(login)).where(Sequel[:last_at] > since).get(:count).to_i
      end

      # One more at a time; those before `since` are forgotten.
      def add(login, at:, since:)
        Trouble.writing(@db) do
          @db[:tries].where(Sequel[:last_at] <= since).delete
          more = { count: Sequel[:tries][:count] + 1, last_at: at }
          adding = @db[:tries].insert_conflict(target: :digest, update: more)
          adding.insert(digest: digest(login), count: 1, last_at: at)
        end
      end

      def forget(login) = Trouble.told { @db[:tries].where(digest: digest(login)).delete }

      private

      def digest(login) = Digest::SHA256.hexdigest(login.to_s.strip.downcase)
    end
  end
end

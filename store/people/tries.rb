# frozen_string_literal: true

require "digest"

module Hobrin
  module Store
    # How often in a row something was tried with a wrong password or code. It is the same for a name
    # that nobody has, so that nothing is told by it.
    class Tries
      def initialize(db)
        @db = db
      end

      # key :: text that says what is counted. How many since a time (ISO 8601).
      def count(key, since:)
        @db[:tries].where(digest: digest(key)).where(Sequel[:last_at] > since).get(:count).to_i
      end

      # One more for each of the keys; those before `since` are forgotten. login :: whose they are
      def add(keys, login:, at:, since:)
        Trouble.writing(@db) do
          @db[:tries].where(Sequel[:last_at] <= since).delete
          more = { count: Sequel[:tries][:count] + 1, last_at: at }
          adding = @db[:tries].insert_conflict(target: :digest, update: more)
          keys.each { |key| adding.insert(digest: digest(key), whose: digest(login), count: 1, last_at: at) }
        end
      end

      # Of these keys, or all of one login.
      def forget(keys) = Trouble.told { @db[:tries].where(digest: keys.map { |key| digest(key) }).delete }
      def forget_all(login) = Trouble.told { @db[:tries].where(whose: digest(login)).delete }

      private

      def digest(text) = Digest::SHA256.hexdigest(text.to_s.strip.downcase)
    end
  end
end

# frozen_string_literal: true

require "digest"

module Hobrin
  module Store
    # Who may sign in, and the wards that they are on.
    class Accounts < Base
      OPEN = 2
      CLOSED = 3
      private_constant :OPEN, :CLOSED

      # A place where somebody is signed in. name :: tells it from the others, and opens nothing
      class Session < Value
        attributes :name, :begun, :used
      end

      # db :: of people; rodauth works with the same one
      attr_reader :db

      def empty? = @db[:accounts].empty?

      # Array of People::Person who may sign in, by name.
      def all = people(@db[:accounts].where(status_id: OPEN))

      # Those who may no more.
      def closed = people(@db[:accounts].where(status_id: CLOSED))

      # The Person with an id, or nil for who is not there or may no more.
      def find(id) = people(@db[:accounts].where(id:, status_id: OPEN)).first

      # The Person with an id, whether they may sign in or not; nil for who never could.
      def known(id) = people(@db[:accounts].where(id:)).first

      # The names of all who ever could sign in: Hash of id to name.
      def names = @db[:accounts].as_hash(:id, :name)

      # The Person who signs in so, or nil.
      def by_login(login) = people(@db[:accounts].where(login: plain(login), status_id: OPEN)).first

      # hash :: of the password, by argon2; at :: ISO 8601. Gives the id. Raises InputError (:login)
      # when somebody signs in so already.
      def add(name:, login:, hash:, at:, runs: false)
        writing do
          taken! if @db[:accounts].where(login: plain(login)).any?
          id = @db[:accounts].insert(name:, login: plain(login), runs:, made_at: at)
          @db[:account_password_hashes].insert(id:, password_hash: hash)
          id
        end
      end

      # Raises GoneError for nobody.
      def rename(id, name) = change(id, name:)
      def let_run(id, runs) = change(id, runs:)

      # Lets somebody sign in no more, and ends what is open of theirs; or lets them again.
      def close(id)
        writing do
          change(id, status_id: CLOSED)
          @db[:account_active_session_keys].where(account_id: id).delete
          @db[:account_remember_keys].where(id:).delete
        end
      end

      def open(id) = change(id, status_id: OPEN)

      # Gives a new password, and ends every session.
      def renew(id, hash)
        writing do
          @db[:account_password_hashes].where(id:).update(password_hash: hash)
          @db[:account_active_session_keys].where(account_id: id).delete
          @db[:account_remember_keys].where(id:).delete
        end
      end

      # Whether somebody has a second step. Array of ids.
      def with_second_step = @db[:account_otp_keys].select_map(:id)

      # Where somebody is signed in: Array of Session, last used first.
      def sessions(id)
        sessions_of(id).reverse(:last_use).map do |row|
          Session.new(name: session_name(row[:session_id]), begun: row[:created_at], used: row[:last_use])
        end
      end

      # What a session is called. key :: as the database has it
      def session_name(key) = Digest::SHA256.hexdigest("session #{key}")[0, 20]

      # Ends one by its name. Gives whether there was one.
      def end_session(id, name)
        found = sessions_of(id).select_map(:session_id).find { |key| session_name(key) == name }
        !found.nil? && sessions_of(id).where(session_id: found).delete == 1
      end

      private

      def sessions_of(id) = @db[:account_active_session_keys].where(account_id: id)
      def plain(login) = login.to_s.strip.downcase

      def people(accounts)
        wards = @db[:ward_people].select_map(%i[account_id ward_id role]).group_by(&:first)
        accounts.order(:name, :id).map do |row|
          own = wards.fetch(row[:id], []).to_h { |_, ward_id, role| [ward_id, role.to_sym] }
          People::Person.new(**row.slice(:id, :name, :login, :runs), wards: own)
        end
      end

      def change(id, **values)
        raise GoneError, "person" if writing { @db[:accounts].where(id:).update(**values) }.zero?
      end

      def taken! = raise(InputError, { login: Book.t("errors.people.login_taken") })
    end
  end
end

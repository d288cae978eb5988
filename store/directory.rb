# frozen_string_literal: true

require "digest"

module Hobrin
  module Store
    # Everything that is kept of people, in one file of its own.
    class Directory < Base
      # accounts :: Accounts; wards :: Wards; invitations :: Invitations; audit :: Audit; tries ::
      #   Tries
      attr_reader :accounts, :wards, :invitations, :audit, :tries

      def initialize(db)
        super
        @accounts = Accounts.new(db)
        @wards = Wards.new(db)
        @invitations = Invitations.new(db)
        @audit = Audit.new(db)
        @tries = Tries.new(db)
      end

      # Does several things, or none of them. Raises UnavailableError.
      # Writes a copy of all of it to a file that does not exist yet. Raises StateError.
      def backup(path) = Database.copy(@db, path, kind: :people)

      # Wards, and who is on them.
      class Wards < Base
        # Array of People::Ward, by name.
        def all = @db[:wards].order(:name).map { |row| People::Ward.new(**row) }

        # Raises GoneError.
        def find(id)
          row = @db[:wards].first(id:) or raise GoneError, "ward"
          People::Ward.new(**row)
        end

        # The Ward of that name, made when there is none.
        def named(name)
          writing { @db[:wards].insert_conflict.insert(name:) }
          People::Ward.new(**@db[:wards].first(name:))
        end

        # Puts somebody on a ward, or changes their role there. role :: :member or :librarian
        def put(ward_id, person_id, role)
          writing do
            @db[:ward_people].insert_conflict(target: %i[ward_id account_id], update: { role: role.to_s })
                             .insert(ward_id:, account_id: person_id, role: role.to_s)
          end
        end

        def take_off(ward_id, person_id)
          writing { @db[:ward_people].where(ward_id:, account_id: person_id).delete }
        end

        # Something that the members of a ward are told. who :: who joined it; role :: as what
        Notice = Struct.new(:ward_id, :at, :who, :role)

        # Somebody who looks after this Hobrin joined a ward on their own.
        def notify(ward_id, at:, who:, role:)
          writing { @db[:notices].insert(ward_id:, at:, who:, role: role.to_s) }
        end

        # Array of Notice of some wards since a time (ISO 8601), the last first.
        def notices(ward_ids, since:)
          @db[:notices].where(ward_id: ward_ids).where(Sequel[:at] >= since).reverse(:id)
                       .map { |row| Notice.new(row[:ward_id], row[:at], row[:who], row[:role].to_sym) }
        end
      end

      # Who was asked to join. The secret part of an invitation's address is kept nowhere, only its
      # fingerprint.
      class Invitations < Base
        # name :: of who is asked; made_by :: the name of who asked; used_at :: ISO 8601 or nil
        class Invitation < Value
          attributes :id, :name, :ward_id, :role, :runs, :made_by, :made_at, :ends_at, :used_at
        end

        # token :: the secret part; rest :: of an Invitation
        def add(token, **rest)
          writing { @db[:invitations].insert(digest: digest(token), **rest, role: rest.fetch(:role).to_s) }
        end

        # One that can be taken up at a time (ISO 8601). Raises GoneError for one that is not there,
        # was used, or has ended: which of them is nobody's business.
        def find(token, at:)
          row = held(at).first(digest: digest(token)) or raise GoneError, "invitation"
          invitation(row)
        end

        # Those that nobody took up yet, the last first.
        def waiting(at:) = held(at).reverse(:id).map { |row| invitation(row) }

        # Takes one up. Raises GoneError for one that another was quicker with.
        def use(id, at:)
          raise GoneError, "invitation" if writing { held(at).where(id:).update(used_at: at) }.zero?
        end

        # Gives the Invitation that is revoked. Raises GoneError for one that was used already.
        def revoke(id)
          row = @db[:invitations].first(id:, used_at: nil) or raise GoneError, "invitation"
          raise GoneError, "invitation" if writing { @db[:invitations].where(id:, used_at: nil).delete }.zero?

          invitation(row)
        end

        private

        def held(at) = @db[:invitations].where(used_at: nil).where(Sequel[:ends_at] > at)
        def digest(token) = Digest::SHA256.hexdigest(token)
        def invitation(row) = Invitation.new(**row.except(:digest, :role), role: row[:role].to_sym)
      end

      # How often in a row something was tried with a wrong password or code. It is the same for a name
      # that nobody has, so that nothing is told by it.
      class Tries < Base
        # key :: text that says what is counted. How many since a time (ISO 8601).
        def count(key, since:)
          @db[:tries].where(digest: digest(key)).where(Sequel[:last_at] > since).get(:count).to_i
        end

        # One more for each of the keys; those before `since` are forgotten. login :: whose they are
        def add(keys, login:, at:, since:)
          Database::Trouble.writing(@db) do
            @db[:tries].where(Sequel[:last_at] <= since).delete
            more = { count: Sequel[:tries][:count] + 1, last_at: at }
            adding = @db[:tries].insert_conflict(target: :digest, update: more)
            keys.each { |key| adding.insert(digest: digest(key), whose: digest(login), count: 1, last_at: at) }
          end
        end

        # Of these keys, or all of one login.
        def forget(keys) = Database::Trouble.told { @db[:tries].where(digest: keys.map { |key| digest(key) }).delete }
        def forget_all(login) = Database::Trouble.told { @db[:tries].where(whose: digest(login)).delete }

        private

        def digest(text) = Digest::SHA256.hexdigest(text.to_s.strip.downcase)
      end
    end
  end
end

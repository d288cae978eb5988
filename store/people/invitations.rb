# frozen_string_literal: true

require "digest"

module Hobrin
  module Store
    # Who was asked to join. The secret part of an invitation's address is kept nowhere, only its
    # fingerprint.
    class Invitations
      # name :: of who is asked; made_by :: the name of who asked; used_at :: ISO 8601 or nil
      class Invitation < Value
        attributes :id, :name, :ward_id, :role, :runs, :made_by, :made_at, :ends_at, :used_at
      end

      def initialize(db)
        @db = db
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
      def writing(&) = Trouble.writing(@db, &)
    end
  end
end

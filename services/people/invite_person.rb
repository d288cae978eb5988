# frozen_string_literal: true

require "securerandom"

module Hobrin
  module Services
    # Asks somebody to join, by an address that only they are told, and lets them in when they take
    # it up.
    class InvitePerson
      DAYS = 14
      SECRET = 32
      private_constant :DAYS, :SECRET

      def initialize(context)
        @context = context
        @invitations = context.directory.invitations
      end

      # Gives the secret part of the address. Raises InputError (:name, :ward).
      def call(name:, ward_id:, role:, runs: false)
        name = name.strip
        raise InputError, { name: "Write who is to come." } if name.empty? || name.size > People::Person::LONGEST_NAME

        raise InputError, { ward: "Choose a ward." } unless runs || ward_id

        ward = ward_id && @context.directory.wards.find(ward_id)
        token = SecureRandom.urlsafe_base64(SECRET)
        @invitations.add(token, name:, ward_id: ward&.id, role:, runs:, made_by: @context.who,
                                made_at: @context.now, ends_at: @context.days_ago(-DAYS))
        @context.note_down("invited", [name, ward&.name, role].compact.join(", "))
        token
      end

      # The Store::Invitations::Invitation that an address stands for. Raises GoneError.
      def read(token) = @invitations.find(token, at: @context.now)

      # Takes one up. Gives the id of who may sign in now. Raises GoneError, InputError (:name,
      # :login, :password).
      def take_up(token, name:, login:, password:)
        invitation = read(token)
        id = AddPerson.new(@context).call(name:, login:, password:, runs: invitation.runs, role: invitation.role,
                                          ward_id: invitation.ward_id) do
          @invitations.use(invitation.id, at: @context.now)
        end
        @context.directory.audit.add(at: @context.now, who: name.strip, what: "joined",
                                     about: "asked by #{invitation.made_by}")
        id
      end

      # Nobody can take it up any more. Raises GoneError for one that is not waiting.
      def revoke(id)
        invitation = @invitations.revoke(id)
        @context.note_down("invitation revoked", invitation.name)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # What who runs this Hobrin does with people and wards.
    class ChangePeople
      def initialize(context)
        @context = context
        @accounts = context.directory.accounts
        @wards = context.directory.wards
      end

      # Raises InputError (:ward).
      def add_ward(name)
        name = name.strip
        trouble = "Write what the ward is called, in at most #{People::Ward::LONGEST_NAME} letters."
        raise InputError, { ward: trouble } if name.empty? || name.size > People::Ward::LONGEST_NAME

        @wards.named(name).tap { @context.note_down("ward", name) }
      end

      # role :: :member, :librarian, or nil to take somebody off it. Raises GoneError.
      def put(id, ward_id, role)
        ward, person = @wards.find(ward_id), person(id)
        role ? @wards.put(ward.id, person.id, role) : @wards.take_off(ward.id, person.id)
        @context.note_down("role", "#{person.name}: #{role || "no more"} on #{ward.name}")
      end

      # Somebody must be left who looks after this. Raises GoneError, InputError (:press).
      def let_run(id, runs)
        person = person(id)
        last!(person) unless runs
        @accounts.let_run(person.id, runs)
        @context.note_down("role", "#{person.name}: #{runs ? "runs this Hobrin" : "runs it no more"}")
      end

      # Lets somebody sign in no more. What they did stays. Raises GoneError, InputError (:press).
      def close(id)
        person = person(id)
        last!(person)
        @accounts.close(person.id)
        @context.note_down("closed", person.name)
      end

      def open(id)
        @accounts.open(id)
        @context.note_down("opened again", person(id).name)
      end

      private

      def person(id) = @accounts.find(id) || raise(GoneError, "person")

      def last!(person)
        return unless person.runs && @accounts.all.one?(&:runs)

        raise InputError, { press: "Nobody else looks after this Hobrin. Give that to another one first." }
      end
    end
  end
end

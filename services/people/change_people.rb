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
        role ? @wards.put(ward.id, person.id, role) : take_off(ward, person)
        @wards.notify(ward.id, at: @context.now, who: person.name, role:) if role && person.id == @context.person&.id
        @context.note_down("role", "#{person.name}: #{role || "no more"} on #{ward.name}")
      end

      # Gives the inquiries of a ward that nobody owns to somebody of the ward. Raises GoneError,
      # InputError (:person).
      def give_unowned(ward_id, person_id)
        ward = @wards.find(ward_id)
        person = @accounts.find(person_id)
        raise InputError, { person: "Choose somebody of #{ward.name}." } unless person&.in?(ward.id)

        count = @context.standings.give_unowned(ward.id, person.id)
        @context.note_down("inquiries given", "#{count} of #{ward.name} to #{person.name}")
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
        pass_on(person, @context.standings.release(person.id))
        @context.note_down("closed", person.name)
      end

      def open(id)
        @accounts.open(id)
        @context.note_down("opened again", person(id).name)
      end

      private

      def take_off(ward, person)
        @wards.take_off(ward.id, person.id)
        pass_on(person, @context.standings.release(person.id, ward_id: ward.id))
      end

      # What somebody owned passes to the ward.
      def pass_on(person, count)
        @context.note_down("inquiries passed to the ward", "#{count} of #{person.name}") if count.positive?
      end

      def person(id) = @accounts.find(id) || raise(GoneError, "person")

      def last!(person)
        return unless person.runs && @accounts.all.one?(&:runs)

        raise InputError, { press: "Nobody else looks after this Hobrin. Give that to another one first." }
      end
    end
  end
end

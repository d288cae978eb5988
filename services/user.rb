# frozen_string_literal: true

module Hobrin
  module Services
    # Who is at the desk: somebody who signed in, or a name where nobody has to.
    class User
      # person :: People::Person, nil where nobody signed in; name :: as the trail writes it
      attr_reader :person, :name

      def initialize(name, person: nil)
        @name = name
        @person = person
        freeze
      end

      # person :: People::Person
      def self.signed_in(person) = new(person.name, person:)

      # Whose what is made now is, where people sign in. ward_id :: nil for the first of theirs
      def whose(ward_id = nil)
        return {} unless person

        { owner_id: person.id, ward_id: person.in?(ward_id) ? ward_id : person.wards.keys.min }
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module People
    # Whose an inquiry is, and what each person may do with it.
    #
    # ward_id, owner_id :: Integer, nil for one that was made while nobody signed in
    # given :: Hash of person id to what they were given: a key of GIVEN
    class Standing < Value
      attributes :ward_id, :owner_id, :given

      # What one may do, each with all that stands before it.
      ABILITIES = %i[reads second works owns].freeze
      GIVEN = { reads: "reads it", second: "reads papers a second time", works: "works on it" }.freeze

      # person :: Person. Gives the strongest of ABILITIES, or nil for who may not know of it.
      # Everybody on its ward reads it; a librarian of the ward works on it, and owns it where nobody
      # else does. Whoever is not on the ward any more may nothing.
      def ability(person)
        return :owns if ward_id.nil? && owner_id == person.id
        return unless person.in?(ward_id)
        return :owns if owner_id == person.id
        return owner_id ? :works : :owns if person.librarian?(ward_id)

        given.fetch(person.id, :reads)
      end

      # need :: one of ABILITIES
      def allows?(person, need)
        has = ability(person)
        !has.nil? && ABILITIES.index(has) >= ABILITIES.index(need)
      end
    end
  end
end

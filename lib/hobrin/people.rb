# frozen_string_literal: true

module Hobrin
  # Who signs in, where they work, and what each may do with an inquiry. How they sign in is no part
  # of the core.
  module People
    # Someone who signs in.
    #
    # id :: Integer; name :: as the trail writes it; login :: what is typed to sign in
    # runs :: whether they look after this Hobrin: people, catalogues, imports; not inquiries
    # wards :: Hash of ward id to :member or :librarian
    class Person < Value
      attributes :id, :name, :login, :runs, :wards

      ROLES = { member: "member", librarian: "librarian" }.freeze

      def initialize(id:, name:, login:, runs: false, wards: {})
        @id = id
        @name = name.dup.freeze
        @login = login.dup.freeze
        @runs = runs ? true : false
        @wards = wards.dup.freeze
        freeze
      end

      def in?(ward_id) = wards.key?(ward_id)
      def librarian?(ward_id = nil) = ward_id ? wards[ward_id] == :librarian : wards.value?(:librarian)
    end

    # Where people work together. id :: Integer; name :: as it is called
    class Ward < Value
      attributes :id, :name
    end

    # What a password must be: long, and none that thousands have. No rule about signs and digits:
    # those make passwords that are hard to keep in mind and easy to guess (as NIST SP 800-63B says,
    # from memory).
    module Password
      SHORTEST = 10

      # text :: as typed; common :: Set of passwords that many have, in small letters; about ::
      #   texts that it must not be, such as one's own name. Gives why it will not do, or nil.
      def self.trouble(text, common:, about: [])
        return Book.t("people.password_rules.short", least: SHORTEST) if text.size < SHORTEST

        return FieldLengths.message(:password) if FieldLengths.over?(:password, text)
        return Book.t("people.password_rules.control") if text.match?(/[[:cntrl:]]/)
        return Book.t("people.password_rules.common") if common.include?(text.downcase)

        return Book.t("people.password_rules.few_letters") if text.downcase.chars.uniq.size < 4

        Book.t("people.password_rules.name") if about.any? { |fact| same?(fact, text) }
      end

      def self.same?(one, text) = Text::Tokens.line(one) == Text::Tokens.line(text)
      private_class_method :same?
    end

    # Whose an inquiry is, and what each person may do with it.
    #
    # ward_id, owner_id :: Integer, nil for one that was made while nobody signed in
    # given :: Hash of person id to what they were given: a key of GIVEN
    class Standing < Value
      attributes :ward_id, :owner_id, :given

      # What one may do, each with all that stands before it.
      ABILITIES = %i[reads second works owns].freeze
      GIVEN = Book.names("people.ability", %i[reads second works])

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

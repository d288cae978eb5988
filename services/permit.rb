# frozen_string_literal: true

module Hobrin
  module Services
    # Whether who signed in may do something. Where nobody signs in, everything may be done.
    class Permit < Service
      # need :: of People::Standing::ABILITIES; id :: of an inquiry. Raises GoneError for one that
      #   they may not know of, as for one that is not there; RefusedError for more than they may.
      def inquiry(need, id)
        return unless person

        standing = @context.standings.of(id)
        has = standing.ability(person) or raise GoneError, "inquiry"
        refuse(REFUSED.fetch(has)) unless standing.allows?(person, need)
      end

      # What who signed in may do with an inquiry, of People::Standing::ABILITIES; everything where
      # nobody signs in.
      def ability(id) = person ? @context.standings.of(id).ability(person) : :owns

      # What concerns the library for all.
      def library
        return if person.nil? || person.runs || person.librarian?

        refuse(Book.t("errors.permission.librarian"))
      end

      def runs
        refuse(Book.t("errors.permission.administrator")) unless person.nil? || person.runs
      end

      REFUSED = {
        reads: Book.t("errors.permission.viewer"),
        second: Book.t("errors.permission.second"),
        works: Book.t("errors.permission.owner")
      }.freeze
      private_constant :REFUSED

      private

      def person = @context.user.person
      def refuse(words) = raise(RefusedError, words)
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # Keeps a colleague's review of the search of an inquiry.
    class ReviewSearch
      OWN = "A colleague reviews the search, not the owner of the inquiry."
      private_constant :OWN

      # seen :: see ApplyEdit
      def initialize(context, seen: nil)
        @context = context
        @seen = seen
      end

      # name :: of who reviews, where nobody signs in; verdict, remarks :: see Edits::SearchCheck::ReviewSearch
      # Gives an ApplyEdit::Outcome. Raises InputError (:reviewer), what ApplyEdit raises.
      def call(id, name:, verdict:, remarks:)
        person = @context.person
        raise InputError, { reviewer: OWN } if person && @context.standings.of(id).owner_id == person.id

        edit = Edits::SearchCheck::ReviewSearch.new(name: person ? person.name : name, verdict:, remarks:)
        ApplyEdit.new(@context, seen: @seen).call(id, edit)
      end
    end
  end
end

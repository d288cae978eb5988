# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Names a paper that the search is to find.
      #
      # typed :: a DOI, an id, or words of a title that only one paper has
      class AddMustFind < Edit
        STEP = :narrow
        MOST = 30
        attributes :typed
        private_constant :MOST

        # Raises InputError (:known).
        def call(inquiry, surroundings)
          record = one(surroundings.find(typed))
          known = inquiry.must_find | [record.id]
          refuse("That is #{MOST} papers: a few well-known ones say more.") if known.size > MOST

          Change.new(inquiry: inquiry.with(must_find: known), kind: :must_find_added,
                     facts: { record: record.id, title: record.title })
        end

        private

        def one(found)
          refuse("No paper here has this DOI, or all of these words in its title.") if found.empty?
          refuse("Several papers have these words in their title. Choose one.") if found.size > 1
          found.first
        end

        def refuse(message) = raise(InputError, { known: message })
      end
    end
  end
end

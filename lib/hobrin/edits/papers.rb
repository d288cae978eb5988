# frozen_string_literal: true

module Hobrin
  module Edits
    # Papers that are named one by one: those the search must find, and those added manually.
    module Papers
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
          refuse(Book.t("edits.errors.most_must_find", most: MOST)) if known.size > MOST

          Change.new(inquiry: inquiry.with(must_find: known), kind: :must_find_added,
                     facts: { record: record.id, title: record.title })
        end

        private

        def one(found)
          refuse(Book.t("edits.errors.no_paper")) if found.empty?
          refuse(Book.t("edits.errors.several_papers")) if found.size > 1
          found.first
        end

        def refuse(message) = raise(InputError, { known: message })
      end

      # The search need not find this paper any more.
      class RemoveMustFind < Edit
        STEP = :narrow
        attributes :record_id

        def call(inquiry, _surroundings)
          Change.new(inquiry: inquiry.with(must_find: inquiry.must_find - [record_id]), kind: :must_find_removed,
                     facts: { record: record_id })
        end
      end

      # Lets a paper in by hand, whatever the steps of the cascade say.
      class IncludeManually < Edit
        STEP = :narrow
        MOST = 200
        attributes :record_id
        private_constant :MOST

        # Raises GoneError for a paper that is not in the library; InputError (:let_in) past two
        # hundred.
        def call(inquiry, surroundings)
          record = surroundings.paper(record_id)
          ids = inquiry.included_ids | [record_id]
          if ids.size > MOST
            raise InputError,
                  { let_in: Book.t("edits.errors.most_added", most: MOST) }
          end

          Change.new(inquiry: inquiry.with(included_ids: ids), kind: :paper_included,
                     facts: { record: record_id, title: record.title })
        end
      end

      # No longer lets a paper in by hand.
      class RemoveManually < Edit
        STEP = :narrow
        attributes :record_id

        # Raises GoneError for a paper that is not in the library.
        def call(inquiry, surroundings)
          title = surroundings.paper(record_id).title
          Change.new(inquiry: inquiry.with(included_ids: inquiry.included_ids - [record_id]), kind: :paper_released,
                     facts: { record: record_id, title: })
        end
      end
    end
  end
end

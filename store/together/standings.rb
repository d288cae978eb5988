# frozen_string_literal: true

module Hobrin
  module Store
    # Whose each inquiry is, and what others were given to do with it.
    class Standings
      def initialize(db)
        @db = db
      end

      # A People::Standing. Raises GoneError for an inquiry that is not there; one that was taken
      # away is there still.
      def of(id)
        row = @db[:inquiries].where(id:).select(:ward_id, :owner_id).first or raise GoneError, "inquiry"
        standing(row, given.where(inquiry_id: id).select_map(%i[person_id ability]))
      end

      # Hash of each of these inquiries' ids to its Standing.
      def some(ids)
        abilities = given.where(inquiry_id: ids).select_map(%i[inquiry_id person_id ability]).group_by(&:first)
        @db[:inquiries].where(id: ids).select(:id, :ward_id, :owner_id).to_h do |row|
          [row[:id], standing(row, abilities.fetch(row[:id], []).map { |_, *pair| pair })]
        end
      end

      # Puts an inquiry on a ward, or gives it to another owner.
      def put(id, ward_id:, owner_id:)
        writing { @db[:inquiries].where(id:).update(ward_id:, owner_id:) }
      end

      # The ids of those that were made while nobody signed in and are there still.
      def unowned = @db[:inquiries].where(owner_id: nil, ward_id: nil, deleted_at: nil).select_map(:id)

      # Every inquiry that was made while nobody signed in: those that passed to their ward stay with it.
      # Gives how many.
      def put_unowned(ward_id:, owner_id:)
        writing { @db[:inquiries].where(owner_id: nil, ward_id: nil).update(ward_id:, owner_id:) }
      end

      # Inquiries of a person pass to their ward. ward_id :: of one ward, nil for all. Gives how many.
      def release(owner_id, ward_id: nil)
        owned = @db[:inquiries].where(owner_id:).exclude(ward_id: nil)
        owned = owned.where(ward_id:) if ward_id
        writing { owned.update(owner_id: nil) }
      end

      # How many inquiries of each ward have no owner: Hash of ward id to number.
      def without_owner
        @db[:inquiries].where(owner_id: nil, deleted_at: nil).exclude(ward_id: nil).group_and_count(:ward_id)
                       .as_hash(:ward_id, :count)
      end

      # Gives those of a ward that have no owner to somebody. Gives how many.
      def give_unowned(ward_id, owner_id)
        writing { @db[:inquiries].where(owner_id: nil, ward_id:).update(owner_id:) }
      end

      # ability :: of People::Standing::GIVEN, or nil to take it back
      def give(id, person_id, ability)
        writing do
          given.where(inquiry_id: id, person_id:).delete
          given.insert(inquiry_id: id, person_id:, ability: ability.to_s) if ability
        end
      end

      private

      def given = @db[:inquiry_people]

      def standing(row, pairs)
        People::Standing.new(ward_id: row[:ward_id], owner_id: row[:owner_id],
                             given: pairs.to_h { |person_id, ability| [person_id, ability.to_sym] })
      end

      def writing(&) = Trouble.writing(@db, &)
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    # Wards, and who is on them.
    class Wards
      def initialize(db)
        @db = db
      end

      # Array of People::Ward, by name.
      def all = @db[:wards].order(:name).map { |row| People::Ward.new(**row) }

      # Raises GoneError.
      def find(id)
        row = @db[:wards].first(id:) or raise GoneError, "ward"
        People::Ward.new(**row)
      end

      # The Ward of that name, made when there is none.
      def named(name)
        writing { @db[:wards].insert_conflict.insert(name:) }
        People::Ward.new(**@db[:wards].first(name:))
      end

      # Puts somebody on a ward, or changes their role there. role :: :member or :librarian
      def put(ward_id, person_id, role)
        writing do
          @db[:ward_people].insert_conflict(target: %i[ward_id account_id], update: { role: role.to_s })
                           .insert(ward_id:, account_id: person_id, role: role.to_s)
        end
      end

      def take_off(ward_id, person_id)
        writing { @db[:ward_people].where(ward_id:, account_id: person_id).delete }
      end

      # Something that the members of a ward are told. who :: who joined it; role :: as what
      Notice = Struct.new(:ward_id, :at, :who, :role)

      # Somebody who looks after this Hobrin joined a ward on their own.
      def notify(ward_id, at:, who:, role:)
        writing { @db[:notices].insert(ward_id:, at:, who:, role: role.to_s) }
      end

      # Array of Notice of some wards since a time (ISO 8601), the last first.
      def notices(ward_ids, since:)
        @db[:notices].where(ward_id: ward_ids).where(Sequel[:at] >= since).reverse(:id)
                     .map { |row| Notice.new(row[:ward_id], row[:at], row[:who], row[:role].to_sym) }
      end

      private

      def writing(&) = Trouble.writing(@db, &)
    end
  end
end

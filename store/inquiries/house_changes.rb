# frozen_string_literal: true

module Hobrin
  module Store
    # Changes of what all inquiries share, with what stood there before, so that each can be undone.
    class HouseChanges
      # kind :: "resolver", "filter" or "pdf"; key :: what of that kind; ward_id :: of a full text that
      #   one ward keeps, nil for everybody; was :: what stood there before, nil for nothing;
      #   undone_at :: nil while it holds
      class Change < Value
        attributes :id, :at, :who, :kind, :key, :ward_id, :was, :undone_at, :undone_by
      end

      def initialize(db)
        @db = db
      end

      def inspect = "#<#{self.class}>"

      # Gives the id.
      def add(kind, key, was:, at:, who:, ward_id: nil)
        Trouble.told { @db[:house_changes].insert(kind:, key:, ward_id:, was:, at:, who:) }
      end

      # The last ones, the last first.
      def last(limit) = @db[:house_changes].reverse(:id).limit(limit).map { |row| Change.new(**row) }

      # One that holds. Raises GoneError.
      def find(id)
        row = @db[:house_changes].first(id:, undone_at: nil) or raise GoneError, "change"
        Change.new(**row)
      end

      def undone(id, at:, by:)
        Trouble.told { @db[:house_changes].where(id:).update(undone_at: at, undone_by: by) }
      end
    end
  end
end

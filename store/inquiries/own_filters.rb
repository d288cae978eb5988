# frozen_string_literal: true

module Hobrin
  module Store
    # Study filters that people here wrote and named, as CQL.
    class OwnFilters
      # title :: its name; terms :: CQL
      class Kept < Value
        attributes :title, :terms
      end

      def initialize(db)
        @db = db
      end

      def inspect = "#<#{self.class}>"

      # Array of Kept, by name.
      def all = @db[:own_filters].order(:title).map { |row| Kept.new(**row.slice(:title, :terms)) }

      def kept?(title) = !@db[:own_filters].where(title:).empty?

      # Keeps one, in the place of one of the same name.
      def keep(title, terms, at:)
        replacing = @db[:own_filters].insert_conflict(target: :title, update: { terms:, at: })
        Trouble.told { replacing.insert(title:, terms:, at:) }
      end

      # Raises GoneError.
      def remove(title)
        raise GoneError, "filter" if Trouble.told { @db[:own_filters].where(title:).delete }.zero?
      end
    end
  end
end

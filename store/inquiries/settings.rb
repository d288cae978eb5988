# frozen_string_literal: true

module Hobrin
  module Store
    # What holds for the whole house, each setting by its name.
    class Settings
      def initialize(db)
        @db = db
      end

      def inspect = "#<#{self.class}>"

      # "" when it was never set.
      def [](name) = @db[:settings].where(name:).get(:value).to_s

      def put(name, value)
        replacing = @db[:settings].insert_conflict(target: :name, update: { value: })
        Trouble.told { replacing.insert(name:, value:) }
      end
    end
  end
end

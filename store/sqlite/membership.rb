# frozen_string_literal: true

module Hobrin
  module Store
    # "Is one of these", for any number of values: they go in as one JSON text, since SQLite bounds
    # the number of bound values.
    module Membership
      # column :: Symbol; values :: Array of Integer or String. Gives a condition for Sequel.
      def self.of(column, values)
        Sequel.lit("? IN (SELECT value FROM json_each(?))", column, JSON.generate(values))
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Strategy
    # One record by its DOI or its id; a DOI matches without regard to case, with or without its
    # address.
    class Identifier < Expression
      attributes :value

      LONGEST = 200
      private_constant :LONGEST

      # Raises InputError (:identifier) for nothing, or something endless.
      def self.read(typed)
        value = Records::Doi.plain(typed)
        return new(value:) if value.size.between?(1, LONGEST)

        raise InputError, { identifier: "Write a DOI or an id." }
      end

      def label = value
    end
  end
end

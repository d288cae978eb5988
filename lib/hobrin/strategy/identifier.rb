# frozen_string_literal: true

module Hobrin
  module Strategy
    # One record by its DOI or its id; a DOI matches without regard to case, with or without its address.
    class Identifier < Node
      attributes :value

      LONGEST = 200
      private_constant :LONGEST

      # Raises InputError (:identifier) for nothing, or something endless.
      def self.read(typed)
        value = Records::Doi.plain(typed)
        raise InputError, { identifier: "Write a DOI or an id." } unless value.size.between?(1, LONGEST)

        new(value:)
      end

      def label = value
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Strategy
    # A yes/no property of a record: one facet of the library and the values that are let through
    # (several mean either).
    #
    # name :: :type or :age; values :: names of that facet, at least one, in a fixed order
    class Limit < Value
      attributes :name, :values

      KNOWN = { type: Records::StudyTypes::ALL, age: Records::AgeGroups::ALL }.freeze

      # Raises InputError (under the limit's name) for no value or one that is not known.
      def initialize(name:, values:)
        known = KNOWN.fetch(name) { raise InputError, { limit: "There is no such limit." } }
        strange = values - known
        raise InputError, { name => "Choose at least one." } if values.empty?
        raise InputError, { name => "“#{strange.first}” is not one of the choices." } if strange.any?

        @name = name
        @values = known.select { |value| values.include?(value) }.freeze
        freeze
      end
    end
  end
end

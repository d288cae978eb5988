# frozen_string_literal: true

module Hobrin
  module Strategy
    # A yes/no property of a record: one facet of the library and the values that are let through
    # (several mean either).
    #
    # name   :: one of NAMES
    # values :: at least one, in a fixed order; places are names of countries as the library has
    #   them
    class Limit < Expression
      attributes :name, :values

      # The limits whose values are a short list, and that list.
      KNOWN = { type: Records::StudyTypes::ALL, age: Records::AgeGroups::ALL, sex: %w[female male].freeze,
                species: %w[humans animals].freeze, flag: Records::Flags::ALL }.freeze
      OPEN = %i[language place].freeze
      NAMES = [*KNOWN.keys, *OPEN].freeze

      # Raises InputError (under the limit's name) for no value or one that is not known.
      def initialize(name:, values:)
        raise InputError, { limit: Book.t("strategy.errors.no_limit") } unless NAMES.include?(name)
        raise InputError, { name => Book.t("strategy.errors.choose_one") } if values.empty?

        @name = name
        @values = in_order(values).freeze
        freeze
      end

      # There is one limit of each slot in a search. Each flag is one of its own, so that two of
      # them mean both.
      def slot = name == :flag ? :"flag-#{values.join("-").tr(" ", "-")}" : name

      private

      def in_order(values)
        return values.uniq.sort if name == :place

        known = KNOWN.fetch(name) { Records::Languages::CODES }
        strange = values - known
        return known.select { |value| values.include?(value) } if strange.empty?

        hint = Text::Nearest.hint(strange.first, known)
        raise InputError, { name => Book.t("strategy.errors.not_a_choice", value: strange.first, hint:) }
      end
    end
  end
end

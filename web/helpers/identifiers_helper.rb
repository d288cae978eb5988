# frozen_string_literal: true

module Hobrin
  module Web
    # What may tell who a patient is, said beside the field where it was written.
    module IdentifiersHelper
      KINDS = { name: "a name", birth: "a date of birth", number: "a hospital or national number",
                place: "a bed or room", phone: "a telephone number", mail: "an e-mail address", postcode: "a postcode" }.freeze
      private_constant :KINDS

      # text :: as it is kept. What was found in it, in words; nil for nothing.
      def identifying(text)
        found = Hobrin::Text::Identifiers.in(text.to_s, today: context.today)
        return if found.empty?

        found.map { |one| "#{KINDS.fetch(one.kind)} (“#{one.text.strip}”)" }.uniq.join(", ")
      end

      # The same text without it.
      def anonymous(text) = Hobrin::Text::Identifiers.without(text, today: context.today)
    end
  end
end

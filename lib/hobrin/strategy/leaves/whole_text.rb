# frozen_string_literal: true

module Hobrin
  module Strategy
    # The words of a field from its first to its last, and no others: a title, an abstract, one
    # keyword or one heading's name as a whole.
    #
    # text, fields :: as in TextTerm, which says what is refused
    class WholeText < Expression
      attributes :text, :fields

      def initialize(text:, fields: TextTerm::TEXT)
        term = TextTerm.new(text:, fields:)
        @text = term.text
        @fields = term.fields
        freeze
      end

      # The same words anywhere in the field.
      def anywhere = TextTerm.new(text:, fields:)
      def masks = anywhere.masks
      def label = text
    end
  end
end

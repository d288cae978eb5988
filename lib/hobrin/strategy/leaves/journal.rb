# frozen_string_literal: true

module Hobrin
  module Strategy
    # Journals by their whole names, as the library has them; several mean either. A term of a
    # block, or a limit.
    class Journal < Expression
      attributes :values

      def self.named(name) = new(values: [name])

      def initialize(values:)
        @values = values.uniq.sort.freeze
        freeze
      end

      def name = :journal
      def slot = name
      def label = values.join(" or ")
    end
  end
end

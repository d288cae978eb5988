# frozen_string_literal: true

module Hobrin
  module Strategy
    # All records of the library.
    class Everything < Expression
      attributes

      def initialize = freeze
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Strategy
    # A journal by its whole name, as the library has it.
    class Journal < Node
      attributes :name

      def label = name
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Strategy
    # A heading of the thesaurus by its label, with its narrower headings or without, as a main topic
    # only or anywhere.
    class Heading < Value
      attributes :label, :narrower, :main

      def initialize(label:, narrower: true, main: false)
        @label = label.dup.freeze
        @narrower = narrower ? true : false
        @main = main ? true : false
        freeze
      end
    end
  end
end

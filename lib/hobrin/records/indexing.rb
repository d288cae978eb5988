# frozen_string_literal: true

module Hobrin
  module Records
    # A heading as an indexer put it on one record: the heading's label, whether it is a main topic
    # of that record, and the aspects under which it is treated.
    class Indexing < Value
      attributes :label, :main, :aspects

      def initialize(label:, main: false, aspects: [])
        @label = label.frozen? ? label : label.dup.freeze
        @main = main ? true : false
        @aspects = aspects.empty? ? [].freeze : aspects.map { |aspect| aspect.dup.freeze }.freeze
        freeze
      end
    end
  end
end

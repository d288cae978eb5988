# frozen_string_literal: true

module Hobrin
  module Records
    # A heading as an indexer put it on one record: the heading's label, whether it is a main topic
    # of that record, and the aspects under which it is treated.
    #
    # stands_for :: [what it was, name] of the name from outside in whose place it stands, since a
    #   person said so, or nil; what it was is "keyword" or "heading"
    class Indexing < Value
      attributes :label, :main, :aspects, :stands_for

      def initialize(label:, main: false, aspects: [], stands_for: nil)
        @label = label.frozen? ? label : label.dup.freeze
        @main = main ? true : false
        @aspects = aspects.empty? ? [].freeze : aspects.map { |aspect| aspect.dup.freeze }.freeze
        @stands_for = stands_for&.map(&:freeze)&.freeze
        freeze
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Records
    # A heading as an indexer put it on one record: the heading's label, whether it is a main topic
    # of that record, and the aspects under which it is treated.
    #
    # stands_for :: where names from outside stand for it, since a person said so: Array of all in
    #   whose place it stands, each as it was, a String for a keyword and an Indexing for a heading,
    #   which may be of its own label; else empty
    class Indexing < Value
      attributes :label, :main, :aspects, :stands_for

      def initialize(label:, main: false, aspects: [], stands_for: [])
        @label = label.frozen? ? label : label.dup.freeze
        @main = main ? true : false
        @aspects = aspects.empty? ? [].freeze : aspects.map { |aspect| aspect.dup.freeze }.freeze
        @stands_for = stands_for.empty? ? [].freeze : stands_for.map(&:freeze).freeze
        freeze
      end

      # All that it is made of, itself where no name from outside stands for it.
      def parts = stands_for.empty? ? [self] : stands_for
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # Works out, once, what lies below each heading.
    class Closure
      # children :: Hash of label to the labels directly below it, with no circle in it
      def initialize(children)
        @children = children
        @below = {}
      end

      # A frozen Hash of label to the labels of itself and all below it.
      def call
        @children.each_key { |label| below(label) }
        @below.freeze
      end

      private

      def below(label)
        @below[label] ||= [label, *@children.fetch(label).flat_map { |child| below(child) }].uniq.freeze
      end
    end
  end
end

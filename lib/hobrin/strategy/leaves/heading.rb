# frozen_string_literal: true

module Hobrin
  module Strategy
    # A heading of the thesaurus by its label, with its narrower headings or without, as a main
    # topic only or anywhere, and under any aspect or under any of those named. The label ANY stands
    # for whatever heading a record has, for searches that ask for an aspect alone.
    class Heading < Expression
      attributes :label, :narrower, :main, :aspects

      ANY = "*"

      # A heading as it is first searched: with what is narrower, where there is anything.
      def self.of(label, thesaurus) = new(label:, narrower: thesaurus.narrower?(label))

      def initialize(label:, narrower: true, main: false, aspects: [])
        @label = label.dup.freeze
        @narrower = [nil, false].none?(narrower) && label != ANY
        @main = main ? true : false
        @aspects = aspects.uniq.sort.map { |aspect| aspect.dup.freeze }.freeze
        freeze
      end
    end
  end
end

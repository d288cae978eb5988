# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # One subject heading.
    #
    # label :: the preferred name; also_called :: other names that lead here
    # broader, related :: labels of other headings, any number; aspects :: the aspects allowed with it
    # use_instead :: labels of the headings that took its place, none while it is in use itself
    # added :: the year it came into the thesaurus, or nil; uri, notation :: as its source has them,
    #   or nil
    class Heading < Value
      attributes :label, :also_called, :definition, :broader, :related, :aspects, :use_instead,
                 :added, :uri, :notation

      def initialize(label:, also_called: [], definition: "", broader: [], related: [], aspects: [],
                     use_instead: [], added: nil, uri: nil, notation: nil)
        raise ArgumentError, "a heading needs a label" if label.to_s.strip.empty?

        @label = label.dup.freeze
        @definition = definition.dup.freeze
        @also_called, @broader, @related, @aspects, @use_instead =
          [also_called, broader, related, aspects, use_instead].map do |names|
            names.map { |name| name.dup.freeze }.freeze
          end
        @added = added
        @uri = uri&.dup.freeze
        @notation = notation&.dup.freeze
        freeze
      end

      def names = [label, *also_called]
    end
  end
end

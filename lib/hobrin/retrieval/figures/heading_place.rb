# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Where a heading sits, with how many records each heading there finds (its narrower ones
    # included).
    #
    # paths    :: one for each branch: Array of [label, size], from the top down to the heading itself
    # narrower :: Array of [label, size] directly below it; related :: the same for related headings
    class HeadingPlace < Value
      attributes :label, :paths, :narrower, :related

      # label :: of a heading of the evaluator's thesaurus
      def self.of(label, evaluator)
        thesaurus = evaluator.thesaurus
        counted = ->(labels) { labels.map { |label| [label, evaluator.count(Strategy::Heading.new(label: label))] } }
        new(label:, paths: thesaurus.places(label).map(&counted), narrower: counted.call(thesaurus.children(label)),
            related: counted.call(thesaurus.related(label)))
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Appraisal
    # Puts papers in the order of the studies that answer a kind of question best.
    module StrongestFirst
      # set :: RecordSet; kind :: key of the kind of question, or nil; evaluator :: Evaluator
      # Gives an Array of RecordSet that do not overlap and are together the set: one for each study
      # type from the strongest, then those of no such type.
      def self.call(set, kind, evaluator)
        left = set
        sorted = Level.types(kind).filter_map { |type| evaluator.index.sets(:type)[type] }.map do |papers|
          (papers & left).tap { |these| left -= these }
        end
        [*sorted, left].reject(&:empty?)
      end
    end
  end
end

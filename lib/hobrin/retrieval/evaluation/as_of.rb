# frozen_string_literal: true

module Hobrin
  module Retrieval
    # An Evaluator that sees only some records, such as those that were here at an earlier time.
    # Since every tree above a leaf is set algebra, what it finds is what the whole finds, of those
    # records.
    class AsOf
      # evaluator :: Evaluator; records :: RecordSet
      def initialize(evaluator, records)
        @evaluator = evaluator
        @records = records
      end

      def call(tree) = @evaluator.call(tree) & @records
      def count(tree) = call(tree).size
    end
  end
end

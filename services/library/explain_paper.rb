# frozen_string_literal: true

module Hobrin
  module Services
    # Why a search finds a paper, or why it does not.
    class ExplainPaper
      # record :: the Record; found :: whether the search finds it
      # reasons :: Array of Retrieval::Reasons::Reason when it does; missing :: Array of trees that
      #   it lacks when not
      class Explanation < Value
        attributes :record, :found, :reasons, :missing
      end

      def initialize(context)
        @context = context
      end

      # id :: of the record, or its DOI; tree :: what is searched. Raises GoneError for an unknown
      #   paper.
      def call(id, tree)
        number = @context.library.number(id) || @context.evaluator.call(Strategy::Identifier.read(id)).first
        raise GoneError, "paper" unless number

        record = @context.library.numbered(number)
        reasons = Retrieval::Reasons.new(@context.evaluator)
        found = @context.evaluator.call(tree).include?(number)
        Explanation.new(record:, found:, reasons: reasons.call(tree, number, record),
                        missing: reasons.missing(tree, number))
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # What the number of papers of an inquiry means beside its aim.
    class ReadOutlook
      def initialize(context)
        @context = context
      end

      # opened :: OpenInquiry. Gives a Narrowing::Target::Outlook.
      def call(opened)
        inquiry, evaluator = opened.inquiry, @context.evaluator
        joined = inquiry.searched_blocks.select { |block| block.operator == :and && block.tree }
        lost = @context.library.set(inquiry.must_find) - opened.cascade.final
        Narrowing::Target::Outlook.of(aim: inquiry.aim, papers: opened.final, lost: lost.size,
                                      blocks: joined.to_h { |block| [block.key, evaluator.call(block.tree).size] })
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # A paper, how it is indexed, and what of an inquiry finds it.
    class ReadPaper
      # record :: Records::Record; keys :: the keys of the blocks that find it; held :: Hash of
      #   heading label to the keys
      # of the blocks that have it as a term
      class Paper < Value
        attributes :record, :keys, :held
      end

      MOST = 6
      private_constant :MOST

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      # Gives a Paper, nil when there is none with this id.
      def call(inquiry, id)
        record = @context.library.record(id) or return
        number = @context.library.number(id)
        blocks = inquiry.searched_blocks
        keys = blocks.select { |block| @evaluator.call(block.tree).include?(number) }.map(&:key)
        Paper.new(record:, keys:, held: held(blocks, record))
      end

      # The newest papers of a block, or of all joined ones when key is nil. opened :: OpenInquiry
      def newest(opened, key)
        set = key ? @evaluator.call(opened.inquiry.block(key).tree) : opened.cascade.joined
        @context.library.newest(set, limit: MOST)
      end

      private

      def held(blocks, record)
        record.headings.map(&:label).to_h do |label|
          having = blocks.select do |block|
            block.terms.any? { |term| term.heading? && term.label == label }
          end
          [label, having.map(&:key)]
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # Headings that are common among the newest papers of a block, and among those kept, and that
    # the block lacks.
    class SuggestHeadings
      # size :: how many papers were looked at; suggestions :: Array of
      #   Retrieval::HeadingSuggestions::Suggestion
      class Sample < Value
        attributes :size, :suggestions
      end

      NEWEST = 60
      private_constant :NEWEST

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      # Gives a Hash of :newest and :kept to Sample; :kept only when papers were kept.
      def call(inquiry, key)
        block = inquiry.block(key)
        others = inquiry.searched_blocks.reject { |other| other.key == key }
        sets(inquiry, block).reject { |_, set| set.empty? }.transform_values do |set|
          suggestions = Retrieval::HeadingSuggestions.call(set, block, @evaluator, others:)
          Sample.new(size: set.size, suggestions:)
        end
      end

      private

      # Papers that have headings: the others can say nothing here.
      def sets(inquiry, block)
        found = @evaluator.call(block.tree) - @evaluator.index.not_indexed
        { newest: @context.library.newest_set(found, limit: NEWEST),
          kept: @context.library.set(inquiry.kept_ids) }
      end
    end
  end
end

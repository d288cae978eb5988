# frozen_string_literal: true

module Hobrin
  module Services
    # What a block would still gain from headings that are common among its newest papers, and among those kept.
    class ReadGains
      NEWEST = 60
      private_constant :NEWEST

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      # Gives a Hash of :newest and :kept to [how many papers were looked at, Array of Retrieval::Gains::Gain]; :kept only
      # when papers were kept.
      def call(inquiry, key)
        block = inquiry.block(key)
        others = inquiry.searched_blocks.reject { |other| other.key == key }
        samples(inquiry, block).reject { |_, sample| sample.empty? }.transform_values do |sample|
          [sample.size, Retrieval::Gains.call(sample, block, @evaluator, others:)]
        end
      end

      private

      # Papers that have headings: the others can say nothing here.
      def samples(inquiry, block)
        found = @evaluator.call(block.tree) - @evaluator.index.not_indexed
        { newest: @context.library.newest_set(found, limit: NEWEST), kept: @context.library.set(inquiry.kept_ids) }
      end
    end
  end
end

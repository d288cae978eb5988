# frozen_string_literal: true

module Hobrin
  module Services
    # What could be added to a block of an inquiry while a person types.
    class OfferTerms
      def initialize(context)
        @context = context
      end

      # block :: key of the block; typed, way :: see Retrieval::TermOffers#typed, which says what it gives.
      # Counts nothing but the offers. Raises GoneError.
      def call(id, block, typed, way: :ranked)
        offers(id, block).typed(typed, way:)
      end

      # What was typed with its operators read: a Strategy::Entry, nil where it cannot be one.
      def entry(id, block, typed) = offers(id, block).entry(typed)

      private

      def offers(id, block)
        inquiry = @context.inquiries.find(id).inquiry
        Retrieval::TermOffers.new(inquiry.block(block), @context.evaluator)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # The inquiries for the first page.
    class ListInquiries
      # saved :: Store::Inquiries::Saved; kept :: papers in its evidence set
      Card = Struct.new(:saved, :kept, keyword_init: true)

      def initialize(context)
        @context = context
      end

      # Gives an Array of Card, last touched first.
      def call = @context.inquiries.all.map { |saved| Card.new(saved:, kept: saved.inquiry.kept_ids.size) }
    end
  end
end

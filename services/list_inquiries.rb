# frozen_string_literal: true

module Hobrin
  module Services
    # What the first page shows.
    class ListInquiries
      # saved :: Store::Inquiries::Saved; kept :: papers in its evidence set
      Card = Struct.new(:saved, :kept, keyword_init: true)
      # cards :: Array of Card, last touched first; papers :: in the library; sample :: whether they are made up
      Overview = Struct.new(:cards, :papers, :sample, keyword_init: true)

      def initialize(context)
        @context = context
      end

      # Gives an Overview.
      def call
        cards = @context.inquiries.all.map { |saved| Card.new(saved:, kept: saved.inquiry.kept_ids.size) }
        Overview.new(cards:, papers: @context.library.size, sample: @context.library.sample?)
      end
    end
  end
end

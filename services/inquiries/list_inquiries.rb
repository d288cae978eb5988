# frozen_string_literal: true

module Hobrin
  module Services
    # What the first page shows.
    class ListInquiries
      # inquiries :: Array of Store::Inquiries::Saved, last touched first; papers :: in the library
      # sample :: whether they are made up
      class Overview < Value
        attributes :inquiries, :papers, :sample
      end

      def initialize(context)
        @context = context
      end

      # Gives an Overview. Each inquiry brings its last count with it, so that none is counted anew.
      def call
        Overview.new(inquiries: @context.inquiries.all, papers: @context.snapshot.size,
                     sample: @context.snapshot.sample?)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # An inquiry as every step shows it: with its cascade over the library as it is now.
    class ReadInquiry
      # saved :: Store::Inquiries::Saved; cascade :: Narrowing::Cascade; trail_size :: lines of the trail
      Standing = Struct.new(:saved, :cascade, :trail_size, :sample_library, keyword_init: true) do
        def inquiry = saved.inquiry
        def question = inquiry.question
        def final = cascade.final.size
      end

      def initialize(context)
        @context = context
      end

      # step :: when given, the inquiry is remembered as left there. Raises GoneError.
      def call(id, step: nil)
        saved = @context.inquiries.find(id)
        if step && step != saved.step
          @context.inquiries.visit(id, step:)
          saved.step = step
        end
        Standing.new(saved:, cascade: saved.inquiry.cascade(@context.evaluator),
                     trail_size: @context.inquiries.trail_size(id), sample_library: @context.library.sample?)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # An inquiry as every step shows it: with its cascade over the library as it is now.
    class ReadInquiry
      # saved :: Store::Inquiries::Saved; cascade :: Narrowing::Cascade; trail_size :: lines of the trail
      # undo, redo :: the Store::Inquiries::TrailLine that could be undone, or done again; nil for none
      Standing = Struct.new(:saved, :cascade, :trail_size, :sample_library, :undo, :redo, keyword_init: true) do
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
                     trail_size: @context.inquiries.trail_size(id),
                     sample_library: @context.library.sample?, **ways(id))
      end

      # What another window changed between the version that a person looked at and their own change.
      # Gives an Array of TrailLine.
      def elsewhere(id, seen, version) = @context.inquiries.lines_between(id, seen, version)

      private

      def ways(id)
        history = @context.inquiries.history(id)
        { undo: history.undo, redo: history.redo }.transform_values do |number|
          number && @context.inquiries.line(id, number)
        end
      end
    end
  end
end

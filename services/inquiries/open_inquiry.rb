# frozen_string_literal: true

module Hobrin
  module Services
    # An inquiry as pages show it. What costs anything is worked out when it is first asked for, and
    # once: an answer that shows no count builds no cascade. Belongs to one request.
    class OpenInquiry
      # Store::Inquiries::Saved
      attr_reader :saved

      # Papers that who reads it does not screen, as ids.
      attr_reader :left_out

      # cascade :: of the inquiry, when it was worked out already
      def initialize(context, saved, cascade: nil, left_out: [])
        @context = context
        @saved = saved
        @cascade = cascade
        @left_out = left_out
      end

      def id = saved.id
      def version = saved.version
      def inquiry = saved.inquiry
      def question = inquiry.question

      # Narrowing::Cascade over the library as it is now.
      def cascade = @cascade ||= inquiry.cascade(@context.evaluator)

      # How many papers are left.
      def final = cascade.final.size

      # The Trail::Line that could be undone, or done again; nil for none.
      def undo = @undo ||= line(history.undo)
      def redo = @redo ||= line(history.redo)

      # Each change is one line.
      def trail_size = version

      def sample_library = @context.snapshot.sample?

      private

      def history = @history ||= @context.inquiries.history(id)
      def line(number) = number && @context.inquiries.line(id, number)
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # Starts an inquiry from a question.
    class StartInquiry
      def initialize(context)
        @context = context
      end

      # text :: the question; situation :: what led to it. Gives the new id. Raises InputError.
      def call(text, situation: "", sample: false)
        inquiry = Inquiry.new(question: Question.ask(text.strip, situation:))
        trail = { who: @context.who, change: "Wrote the question", count_before: 0, count_after: 0,
                  library_version: @context.library.version }
        @context.inquiries.create(inquiry, step: :ask, at: @context.now, trail:, sample:)
      end
    end
  end
end

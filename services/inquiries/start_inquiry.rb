# frozen_string_literal: true

module Hobrin
  module Services
    # Starts an inquiry from a question.
    class StartInquiry
      def initialize(context)
        @context = context
      end

      # text :: the question; situation :: what led to it; ward_id :: of one's wards, nil for the
      #   first. Gives the new id. Raises InputError.
      def call(text, situation: "", sample: false, ward_id: nil)
        if @context.person&.wards&.empty?
          raise InputError, { text: "You are on no ward yet: an inquiry belongs to one. Ask who runs this Hobrin." }
        end

        inquiry = Inquiry.new(question: Question.ask(text.strip, situation:))
        line = { who: @context.who, kind: :question_asked, facts: {}, count_before: 0, count_after: 0,
                 library_version: @context.snapshot.version }
        @context.inquiries.create(inquiry, step: :ask, at: @context.now, line:, sample:, **@context.whose(ward_id))
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # Notes on a line of the trail. It changes nothing of the inquiry, so it is no line itself.
    class NoteOnLine
      LONGEST = 300
      private_constant :LONGEST

      def initialize(context)
        @context = context
      end

      # Gives an ApplyEdit::Outcome. Raises InputError (:note) for a note that is too long,
      # GoneError when there is no such line.
      def call(id, number, note)
        note = Question.tidy(note).strip
        raise InputError, { note: "Keep a note to #{LONGEST} characters." } if note.size > LONGEST

        @context.inquiries.note(id, number, note)
        ApplyEdit::Outcome.new(opened: ReadInquiry.new(@context).call(id), change: nil, line: nil)
      end
    end
  end
end

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

      # was :: the note that the person saw there. Gives an ApplyEdit::Outcome. Raises InputError
      # (:note) for a note that is too long, or when another one was written meanwhile; GoneError
      # when there is no such line.
      def call(id, number, note, was:)
        note = Question.tidy(note).strip
        raise InputError, { note: "Keep a note to #{LONGEST} characters." } if note.size > LONGEST

        unless @context.inquiries.note(id, number, note, was:)
          there = @context.inquiries.line(id, number).note
          raise InputError, { note: "Another note was written here meanwhile: “#{there}”. Yours is not saved yet: " \
                                    "put both together and note it again." }
        end
        ApplyEdit::Outcome.new(opened: ReadInquiry.new(@context).call(id), change: nil, line: nil)
      end
    end
  end
end

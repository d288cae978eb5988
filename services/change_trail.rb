# frozen_string_literal: true

module Hobrin
  module Services
    # Restores an earlier state of an inquiry, and notes on lines of its trail.
    class ChangeTrail
      LONGEST_NOTE = 300
      private_constant :LONGEST_NOTE

      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @context = context
        @change = ChangeInquiry.new(context, seen:)
      end

      # Makes the inquiry what it was after one line; named lines stay. Raises GoneError when there is no such line.
      def restore(id, number)
        restored = @context.inquiries.state_at(id, number)
        @change.call(id, step: @context.inquiries.find(id).step, part: :itself.to_proc) do |now|
          next_term = [restored.next_term, now.next_term].max
          [restored.with(lines: now.lines, next_term:), "Restored line #{number}"]
        end
      end

      # Raises InputError (:note) for a note that is too long, GoneError when there is no such line.
      def note(id, number, note)
        note = Question.tidy(note).strip
        raise InputError, { note: "Keep a note to #{LONGEST_NOTE} characters." } if note.size > LONGEST_NOTE

        @context.inquiries.note(id, number, note)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # Goes one change back, or forth again, in whatever step it was made.
    class UndoChange
      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @context = context
        @change = ChangeInquiry.new(context, seen:)
      end

      # Gives the TrailLine that was undone, or brought back. Raises InputError (:undo) when there is none.
      def back(id)
        history = @context.inquiries.history(id)
        refuse("Nothing to undo: this is where the inquiry began.") unless history.undo

        bring(id, history.before, history.undo, "Undid")
      end

      def forth(id)
        line = @context.inquiries.history(id).redo or refuse("Nothing was undone.")
        bring(id, line, line, "Did again")
      end

      private

      # state :: the number of the line whose state comes back; number :: of the line that this is about
      def bring(id, state, number, verb)
        line = @context.inquiries.line(id, number)
        restored = @context.inquiries.state_at(id, state)
        @change.call(id, step: line.step.to_sym, part: :itself.to_proc, brings_back: state) do |now|
          # Ids of terms are never given twice, also not after going back.
          [restored.with(next_term: [restored.next_term, now.next_term].max), "#{verb}: #{line.change}"]
        end
        line
      end

      def refuse(message) = raise(InputError, { undo: message })
    end
  end
end

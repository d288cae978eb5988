# frozen_string_literal: true

module Hobrin
  module Services
    # Removes a text from an inquiry for good: from all that is kept of it here, and so from its pages,
    # files, shared links and feeds, and from the next backup. The log says that it was done, and nothing
    # of the text.
    class ForgetText
      SHORTEST = 4
      LONGEST = 1_000
      private_constant :SHORTEST, :LONGEST

      def initialize(context)
        @context = context
      end

      # id :: of the inquiry. Gives in how many places it stood. Who may is said by
      #   the address at which it is asked. Raises GoneError, InputError (:forget).
      def call(id, text)
        @context.standings.of(id)
        text = text.strip
        refuse("Write at least #{SHORTEST} letters of what is to be removed.") if text.size < SHORTEST
        refuse("Remove at most #{LONGEST} letters at once.") if text.size > LONGEST
        count = @context.stored.forget_text(id, text)
        refuse("This text is nowhere in the inquiry.") if count.zero?

        MakeFile.forget(@context, id)
        note(id)
        count
      end

      private

      # A line of the trail that changes nothing and says nothing of the text.
      def note(id)
        ApplyEdit.new(@context).call(id, Edits::Trail::RecordForgetting.new)
        @context.note_down("text removed for good", "inquiry #{id}")
      end

      def refuse(words) = raise(InputError, { forget: words })
    end
  end
end

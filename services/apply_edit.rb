# frozen_string_literal: true

module Hobrin
  module Services
    # The only road on which an inquiry that is kept is changed: load once, let the edit make its
    # change, count, and write the inquiry with its line of the trail. Nothing is worked out while
    # other writers wait; when one of them was quicker, the edit is made again on what that one
    # left, as long as what it is about is still as it was seen.
    class ApplyEdit
      # opened :: OpenInquiry as it is then; change :: Edits::Change
      # line   :: the number of the line that was written, nil when nothing was to be changed
      class Outcome < Value
        attributes :opened, :change, :line
      end

      # Another writer can be quicker a few times, but not for ever.
      MOST_TRIES = 50
      private_constant :MOST_TRIES

      # seen :: the version that the person looked at, or nil when it does not matter
      def initialize(context, seen: nil)
        @context = context
        @seen = seen
      end

      # edit :: Edits::Edit. Gives an Outcome.
      # Raises GoneError, InputError from the edit, and ConflictError when another window changed
      # what it is about.
      def call(id, edit)
        MOST_TRIES.times do
          before = @context.stored.find(id)
          refuse_what_changed(before, edit)
          change = edit.call(before.inquiry, Surroundings.new(@context, before))
          return untouched(before, change) if change.inquiry == before.inquiry && !change.brings_back

          outcome = write(before, change, change.step || edit.step || before.step)
          return outcome if outcome
        end
        raise ConflictError
      end

      private

      # An inquiry of the version that was seen is in the trail.
      def refuse_what_changed(before, edit)
        return if @seen.nil? || @seen == before.version || edit.about(before.inquiry) == Edits::Edit::NOTHING

        looked_at = @context.stored.state_at(before.id, @seen)
        raise ConflictError if edit.about(looked_at) != edit.about(before.inquiry)
      rescue GoneError
        raise ConflictError
      end

      def untouched(before, change)
        Outcome.new(opened: opened(before), change:, line: nil)
      end

      # Gives an Outcome, nil when another writer was quicker.
      def write(before, change, step)
        cascade = change.inquiry.cascade(@context.evaluator)
        line = { who: @context.user.name, kind: change.kind, facts: change.facts,
                 brings_back: change.brings_back, count_before: count_before(before, change),
                 count_after: cascade.final.size, library_version: @context.snapshot.version }
        saved = @context.stored.save(before, change.inquiry, step:, at: @context.clock.now, line:) or return

        Outcome.new(opened: opened(saved, cascade:), change:, line: saved.version)
      end

      # As who is here may read it.
      def opened(saved, cascade: nil) = Inquiries::Open.new(@context, @context.readable(saved), cascade:)

      # What the last change left was counted then; it holds as long as the library does. A run of
      # the search is compared with what it found in the library of then.
      def count_before(before, change)
        return change.facts[:before] if change.kind == :run_again
        return before.papers if before.library_version == @context.snapshot.version

        before.inquiry.cascade(@context.evaluator).final.size
      end
    end
  end
end

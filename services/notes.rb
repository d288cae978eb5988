# frozen_string_literal: true

module Hobrin
  module Services
    # Notes to each other, answered and settled. What one of two readers writes about a paper is
    # shown to the other when both have decided on it, and weighed it where that is done twice, too.
    class Notes
      # What a note may be about, by what it is called.
      KINDS = %w[inquiry paper term limit].to_h { |kind| [kind, Book.t("common.note_kind.#{kind}")] }.freeze
      # Who looked within so many minutes is here.
      MINUTES = 2
      # first :: Store::Together::Notes::Note; answers :: Array of them
      class Strand < Value
        attributes :first, :answers

        def open? = first.settled_at.nil?
      end

      def initialize(context, id)
        @context = context
        @id = id
        @notes = context.notes
      end

      # Array of Strand, open ones first, the last begun first.
      def strands
        all = @notes.of(@id)
        answers = all.select(&:answers).group_by(&:answers)
        begun = all.reject(&:answers).select { |note| shown?(note) }
        begun.map { |first| Strand.new(first:, answers: answers.fetch(first.id, [])) }
             .sort_by { |strand| [strand.open? ? 0 : 1, -strand.first.id] }
      end

      def open = strands.count(&:open?)

      # What a kind and a key stand for: its name. Raises GoneError.
      def name(kind, key)
        inquiry = @context.inquiries.find(@id).inquiry
        found = case kind
                when "inquiry" then ""
                when "paper" then @context.library.record(key)&.title
                when "term" then term(inquiry, key.to_i)
                when "limit" then limit(inquiry, key)
                end
        found or raise GoneError, "part of the inquiry"
      end

      # Begins one. Raises GoneError, InputError (:text).
      def write(kind, key, text) = add(text, kind:, key:, name: name(kind, key))

      # Raises GoneError for one that is not there, or not shown to who asks.
      def answer(note_id, text)
        first = begun(note_id)
        add(text, answers: first.id, kind: first.kind, key: first.key, name: first.name)
      end

      # open :: whether it is to be open again
      def settle(note_id, open: false)
        first = begun(note_id)
        @notes.settle(@id, first.id, at: open ? nil : @context.clock.now, by: open ? nil : @context.user.name)
      end

      # Says that who signed in looks at a step. Gives the names of the others that are here, with
      # their steps.
      def look(step)
        person = @context.user.person or return {}

        @notes.here(@id, person.id, step:, at: @context.clock.now, since: @context.clock.minutes_ago(1))
        others = @notes.who_is_here(@id, since: @context.clock.minutes_ago(MINUTES)).except(person.id)
        others.to_h { |id, where| [@context.directory.accounts.known(id)&.name.to_s, where] }
      end

      private

      def limit(inquiry, slot)
        found = inquiry.limits.find { |limit| limit.slot.to_s == slot }
        found && Narrowing::AppliedLimit::Wording.of(found.leaf)
      end

      def term(inquiry, id)
        block = inquiry.block_of(id)
        block && block.term(id).leaf.label
      end

      def begun(note_id)
        note = @notes.find(@id, note_id)
        raise GoneError, "note" unless note.answers.nil? && shown?(note)

        note
      end

      def add(text, **about)
        text = text.strip
        raise InputError, { text: Book.t("errors.notes.write_first") } if text.empty?

        FieldLengths.check(:note, text, at: :text)

        @notes.add(@id, **about, text:, who: @context.user.name, person_id: @context.user.person&.id, at: @context.clock.now)
      end

      def shown?(note)
        note.kind != "paper" || note.person_id == @context.user.person&.id || !apart?(note.key)
      end

      # Whether who asks is one of two who have not both decided on a paper, or weighed one that is
      # kept.
      def apart?(record_id)
        @reading ||= Screen::DualScreening.new(@context, @id)
        @weighing ||= Appraise::DualAppraisal.new(@context, @id)
        (@reading.reader? && !@reading.both_read?(record_id)) ||
          (@weighing.reader? && !@weighing.both_weighed?(record_id))
      end
    end
  end
end

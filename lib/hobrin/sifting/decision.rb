# frozen_string_literal: true

module Hobrin
  module Sifting
    # What a person decided about one paper.
    #
    # verdict :: :keep, :drop or :unsure; reason :: one of Reasons when dropped, else nil; note ::
    #   free text
    class Decision < Value
      attributes :record_id, :verdict, :reason, :note

      VERDICTS = %i[keep drop unsure].freeze
      LONGEST_NOTE = 500

      # Raises InputError (:verdict, :reason, :note).
      def initialize(record_id:, verdict:, reason: nil, note: "")
        raise InputError, { verdict: "Keep it, drop it, or say you are unsure." } unless VERDICTS.include?(verdict)
        raise InputError, { reason: "Say why it is dropped: choose one reason." } if verdict == :drop && !Reasons.known?(reason)
        raise InputError, { note: "Keep the note to #{LONGEST_NOTE} characters." } if note.to_s.size > LONGEST_NOTE

        @record_id = record_id.dup.freeze
        @verdict = verdict
        @reason = verdict == :drop ? reason.dup.freeze : nil
        @note = note.to_s.dup.freeze
        freeze
      end
    end
  end
end

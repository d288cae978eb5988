# frozen_string_literal: true

module Hobrin
  module Screening
    # What a person decided about one paper.
    #
    # verdict :: :keep, :drop or :unsure; reason :: one of Reasons when dropped, else nil; note ::
    #   free text
    class Decision < Value
      attributes :record_id, :verdict, :reason, :note

      VERDICTS = %i[keep drop unsure].freeze

      # Raises InputError (:verdict, :reason, :note).
      def initialize(record_id:, verdict:, reason: nil, note: "")
        raise InputError, { verdict: "Keep it, drop it, or say you are unsure." } unless VERDICTS.include?(verdict)
        raise InputError, { reason: "Say why it is dropped: choose one reason." } if verdict == :drop && !Reasons.known?(reason)

        FieldLengths.check(:decision_note, note, at: :note)
        @record_id = record_id.dup.freeze
        @verdict = verdict
        @reason = verdict == :drop ? reason.dup.freeze : nil
        @note = note.to_s.dup.freeze
        freeze
      end

      # Why a paper is dropped: by the elements of the frame in use, then by what has nothing to do
      # with the question.
      module Reasons
        ALWAYS = ["No study", "A double", "Cannot be had in full", "Another reason"].freeze
        # What an element is called when it is another one; others by their own names.
        SHORT = { "Patient or problem" => "people", "Phenomenon of interest" => "phenomenon" }.freeze
        # So many elements have a key of their own: the keys 1 to 9 are all that there are.
        MOST = 5
        private_constant :ALWAYS, :SHORT, :MOST

        class << self
          # frame :: key of a Question::Frame. Gives an Array of texts; the key 1 to 9 picks one.
          def for(frame)
            named = Question::Frame.fetch(frame).slots.first(MOST).map do |slot|
              "Other #{SHORT.fetch(slot.name) { slot.name.downcase }}"
            end
            [*named, *ALWAYS]
          end

          # Whether any frame has this reason: a decision stays as it was made when the frame changes.
          def known?(reason) = all.include?(reason)

          def all = @all ||= Question::Frame::ALL.flat_map { |frame| self.for(frame.key) }.uniq.freeze
        end
      end
    end
  end
end

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
        raise InputError, { verdict: Book.t("screening.errors.verdict") } unless VERDICTS.include?(verdict)
        raise InputError, { reason: Book.t("screening.errors.reason") } if verdict == :drop && !Reasons.known?(reason)

        FieldLengths.check(:decision_note, note, at: :note)
        @record_id = record_id.dup.freeze
        @verdict = verdict
        @reason = verdict == :drop ? reason.dup.freeze : nil
        @note = note.to_s.dup.freeze
        freeze
      end

      # Why a paper is excluded: by the elements of the frame in use, then by what has nothing to do
      # with the question. Each reason is a tag, as decisions keep it; the book has its name.
      module Reasons
        # By frame, in the order of its elements, five at most: the keys 1 to 9 are all that there are.
        OF_FRAMES = {
          "pico" => ["Other people", "Other intervention", "Other comparison", "Other outcome"],
          "picot" => ["Other people", "Other intervention", "Other comparison", "Other outcome", "Other time"],
          "picos" => ["Other people", "Other intervention", "Other comparison", "Other outcome", "Other study design"],
          "spider" => ["Other sample", "Other phenomenon", "Other design", "Other evaluation", "Other research type"],
          "spice" => ["Other setting", "Other perspective", "Other intervention", "Other comparison", "Other evaluation"],
          "eclipse" => ["Other expectation", "Other client group", "Other location", "Other impact", "Other professionals"]
        }.freeze
        ALWAYS = ["No study", "A double", "Cannot be had in full", "Another reason"].freeze
        private_constant :OF_FRAMES, :ALWAYS

        class << self
          # frame :: key of a Question::Frame. Gives an Array of tags; the key 1 to 9 picks one.
          def for(frame) = [*OF_FRAMES.fetch(frame), *ALWAYS]

          # Whether any frame has this reason: a decision stays as it was made when the frame changes.
          def known?(reason) = all.include?(reason)

          def all = @all ||= [*OF_FRAMES.values.flatten, *ALWAYS].uniq.freeze

          # tag :: as a decision keeps it. Gives "Wrong population".
          def name(tag) = Book.t("screening.reason.#{tag.downcase.tr(" ", "_")}")
        end
      end
    end
  end
end

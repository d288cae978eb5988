# frozen_string_literal: true

module Hobrin
  module Appraisal
    # What a person found in weighing one kept paper.
    #
    # design  :: key of a Design; reviewed :: key of the Design of the studies that a review reviewed,
    #   "" while it is not said
    # answers :: Hash of question key to Answer; sentences :: Hash of the key of a question that is not
    #   answered yet to the sentence that was chosen for it; concerns :: Hash of a group of questions to
    #   Appraisal::Checklists::Concern::Set, where a person set the concern otherwise
    # applies :: Hash of a part of Applies to :same, :near or :far
    # graded  :: −1, 0 or 1: one level stronger, as the table says, one weaker; graded_why :: the reason
    # finding :: the paper in one sentence; reported :: Array of Reported, what it gives for
    #   outcomes
    class Paper < Value
      attributes :record_id, :design, :reviewed, :answers, :sentences, :concerns, :applies, :graded, :graded_why, :finding,
                 :reported

      # Raises InputError naming the field.
      def initialize(record_id:, design:, reviewed: "", answers: {}, sentences: {}, concerns: {}, applies: {}, graded: 0,
                     graded_why: "", finding: "", reported: [])
        @record_id = record_id.dup.freeze
        @design = Design.fetch(design).key
        @reviewed = review?(reviewed) ? InputError.at(:reviewed) { Design.fetch(reviewed).key } : ""
        @answers = answers.slice(*Checklists::KEYS).freeze
        @sentences = sentences.slice(*Checklists::KEYS).except(*@answers.keys).transform_values { |text| text.strip.freeze }.freeze
        @concerns = concerns.slice(*Checklists::GROUPS.keys).freeze
        @applies = Applicability.known(applies).freeze
        @graded = [-1, 0, 1].include?(graded) ? graded : 0
        @graded_why, @finding = [graded_why, finding].map { |text| text.to_s.dup.freeze }
        @reported = reported.dup.freeze
        check
        freeze
      end

      # record :: the Records::Record; kind :: of the question, or nil
      def level(record, kind)
        Level.of(record:, kind:, design: Design.fetch(design), graded:, answers: answers.transform_values(&:says),
                 reviewed: reviewed.empty? ? nil : Design.fetch(reviewed))
      end

      # kind :: key of the kind of question, or nil. Gives a Checklists::Sheet.
      def sheet(kind) = Checklists.for(Design.fetch(design), kind)

      # How much concern there is, by group: see Appraisal::Checklists::Concern.
      def concern_by_group(kind)
        Checklists::Concern.by_group(sheet(kind).questions, answers, concerns)
      end

      def concern(kind) = Checklists::Concern.overall(concern_by_group(kind))

      # Whether anything was judged of it, beside how it was made and what it gives.
      def weighed?
        [answers, concerns, applies, finding].any? { |part| !part.empty? } || graded != 0
      end

      # As it is before anybody judges it: what it gives stays.
      def unjudged = self.class.new(record_id:, design:, reviewed:, reported:)

      # How near it is to ours; nil when that is not said.
      def near = Applicability.overall(applies)

      def result(number) = reported.find { |result| result.number == number }
      def next_result = (reported.map(&:number).max || 0) + 1

      def with_result(result)
        return with(reported: [*reported, result]) unless result(result.number)

        with(reported: reported.map { |there| there.number == result.number ? result : there })
      end

      def without_result(number) = with(reported: reported.reject { |result| result.number == number })

      private

      def review?(reviewed) = @design == "systematic_review" && !reviewed.empty?

      def check
        errors = FieldLengths.errors({ graded_why:, finding: }, { graded_why: :level_reason, finding: :paper_finding })
        endless = sentences.values.any? { |text| FieldLengths.over?(:sentence, text) }
        errors[:answers] = FieldLengths.message(:sentence) if endless
        errors[:graded_why] = Book.t("appraisal.errors.level_reason") if graded != 0 && graded_why.strip.empty?
        raise InputError, errors unless errors.empty?
      end

      # An answer to a question of a sheet, and the sentence that shows it.
      #
      # says :: key of WORDS; shown :: a sentence of the paper, or where it stands, "" for none
      class Answer < Value
        attributes :says, :shown

        WORDS = Book.names("appraisal.answer", %i[yes mostly no not_told])

        # Raises InputError (:answers).
        def initialize(says:, shown: "")
          @says = says.to_s.to_sym
          @shown = shown.to_s.strip.freeze
          raise InputError, { answers: Book.t("appraisal.errors.answer") } unless WORDS.key?(@says)

          FieldLengths.check(:sentence, @shown, at: :answers)
          freeze
        end
      end

      # Whether a paper is about people and things like ours, part by part.
      module Applicability
        PARTS = Book.names("appraisal.applicability.part", %i[people place intervention comparison outcome])
        NEAR = Book.names("appraisal.applicability.near", %i[same near far])

        class << self
          # parts :: Hash of part to one of NEAR. Gives the farthest; nil when nothing is said.
          def overall(parts) = parts.values.max_by { |near| NEAR.keys.index(near) }

          # The parts of untrusted pairs that are known.
          def known(parts) = parts.select { |part, near| PARTS.key?(part) && NEAR.key?(near) }
        end
      end
    end
  end
end

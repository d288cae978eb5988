# frozen_string_literal: true

module Hobrin
  module Narrowing
    # What a colleague said of a search, by the six elements of the published guideline for the peer
    # review of electronic search strategies (PRESS 2015: McGowan et al., J Clin Epidemiol 2016;75:40,
    # from memory). The questions are our own.
    #
    # name :: of who reviewed it; on :: Date; line :: the number of the trail line as it stood then
    # verdict :: key of VERDICTS; remarks :: Hash of a key of QUESTIONS to text, without empty ones
    class PeerReview < Value
      attributes :name, :on, :line, :verdict, :remarks

      # The six elements, by name.
      KEYS = %i[question joins headings words spelling limits].freeze
      ELEMENTS = Book.names("narrowing.peer_review.element", KEYS)
      QUESTIONS = Book.names("narrowing.peer_review.question", KEYS)
      VERDICTS = Book.names("narrowing.peer_review.verdict", %i[accepted changes])
      private_constant :KEYS

      # Raises InputError (:reviewer, :verdict, or the key of a question).
      def initialize(name:, on:, line:, verdict:, remarks: {})
        @name = name.to_s.gsub(/[[:space:]]+/, " ").strip.freeze
        @on = on
        @line = line
        @verdict = verdict.to_s.to_sym
        @remarks = remarks.slice(*QUESTIONS.keys).transform_values { |text| text.to_s.strip.freeze }.reject { |_, text| text.empty? }.freeze
        check
        freeze
      end

      # What was decided, in words.
      def verdict_words = VERDICTS.fetch(verdict)

      private

      def check
        errors = FieldLengths.errors(remarks, remarks.transform_values { :review_remark })
        errors.merge!(FieldLengths.errors({ reviewer: name }))
        errors[:reviewer] = Book.t("narrowing.errors.reviewer") if name.empty?
        errors[:verdict] = Book.t("narrowing.errors.verdict") unless VERDICTS.key?(verdict)
        errors[:question] ||= Book.t("narrowing.errors.changes") if verdict == :changes && remarks.empty?
        raise InputError, errors unless errors.empty?
      end
    end
  end
end

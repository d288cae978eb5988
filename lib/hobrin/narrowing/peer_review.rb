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
      ELEMENTS = { question: "The question in blocks", joins: "AND, OR, NOT and nearness", headings: "Headings",
                   words: "Words of the text", spelling: "Spelling and lines", limits: "Limits and filters" }.freeze
      QUESTIONS = {
        question: "Does the search say what the question asks?",
        joins: "Are AND, OR, NOT and nearness used as they should be?",
        headings: "Are the headings right, and none missing?",
        words: "Are the words, spellings and truncations enough, and not too wide?",
        spelling: "Is everything spelled right, and every line joined to the right ones?",
        limits: "Does the question call for each limit and filter?"
      }.freeze
      VERDICTS = { accepted: "accepted", changes: "changes asked for" }.freeze

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
        errors[:reviewer] = "Enter your name." if name.empty?
        errors[:verdict] = "Choose whether you accept the search." unless VERDICTS.key?(verdict)
        errors[:question] ||= "Say what is to be changed." if verdict == :changes && remarks.empty?
        raise InputError, errors unless errors.empty?
      end
    end
  end
end

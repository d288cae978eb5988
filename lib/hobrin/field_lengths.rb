# frozen_string_literal: true

module Hobrin
  # How many characters a person may write in each field. The form, the message beside the field, the value that keeps
  # the text and the bounds of a request read them here.
  #
  #   FieldLengths.of(:conclusion)                     # => 600
  #   FieldLengths.check(:conclusion, "a" * 601)       # raises InputError (:conclusion): "Keep this to 600 characters."
  module FieldLengths
    ALL = {
      # The question
      situation: 2_000, question: 500, element: 300, conclusion: 600,
      # The search
      term: 120, term_reason: 200, pasted_list: 20_000, cql: 50_000, catalogue_query: 20_000, filter_title: 60,
      filter_terms: 8_000, line_name: 40, line_note: 300, reviewer: 120, review_remark: 500,
      # Screening and appraisal
      decision_note: 500, sentence: 600, group: 120, time: 60, number: 24, outcome: 120, judgement: 300,
      level_reason: 300, concern_reason: 300, paper_finding: 600, finding: 300, finding_sentence: 400,
      # The brief
      plan: 500, step: 300, step_who: 120, cycle: 500, measure: 120, counted: 200, numbers: 20_000, consideration: 300,
      signer: 120, signing_reason: 500,
      # People and the library
      person: 80, login: 120, password: 200, ward: 80, note: 1_000, forget: 1_000, catalogue: 120, address: 500,
      resolver: 300, heading: 200
    }.freeze
    private_constant :ALL

    class << self
      # Characters of a field. Raises KeyError for an unknown one.
      def of(field) = ALL.fetch(field)

      # What is said beside a field that holds more.
      def message(field) = Book.t("errors.too_long", most: of(field))

      # Whether a text is longer than its field may be.
      def over?(field, text) = text.to_s.size > of(field)

      # Raises InputError at the field, or at another name for it, for a text that is too long.
      def check(field, text, at: field)
        raise InputError, { at => message(field) } if over?(field, text)
      end

      # The messages to several texts. texts :: Hash of name to text; fields :: Hash of a name to its field in the table,
      # where it is not the same. Gives a Hash of name to message, empty where all fit.
      def errors(texts, fields = {})
        long = texts.select { |name, text| over?(fields.fetch(name, name), text) }
        long.to_h { |name, _| [name, message(fields.fetch(name, name))] }
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Question
    # The kinds of question. The kind decides which studies answer best, the level of evidence and
    # the appraisal sheet.
    #
    # best :: the study types that answer it best, as a person would say it (common practice, no
    #   source)
    class Kind < Value
      attributes :key

      def name = Book.t("question.kind.#{key}.name")
      def asks = Book.t("question.kind.#{key}.asks")
      def best = Book.t("question.kind.#{key}.best")

      ALL = %w[treatment diagnosis prognosis harm prediction experience cost].map { |key| new(key:) }.freeze

      # The first word of its name, for where there is little room.
      def short = name[/\w+/].downcase

      # The kind with this key. Raises InputError for an unknown one.
      def self.fetch(key)
        ALL.find { |kind| kind.key == key } or raise InputError, { kind: Book.t("question.errors.kind") }
      end
    end
  end
end

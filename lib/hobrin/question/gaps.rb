# frozen_string_literal: true

module Hobrin
  class Question
    # What the question does not say yet, asked in plain words: who, what, compared with what, which
    # outcome, where, by when.
    module Gaps
      # key :: of the element that would hold the answer, nil for a place; ask :: the question put
      class Gap < Value
        attributes :key, :ask
      end

      # What a kind of question can do without.
      NOT_ASKED = { "prognosis" => %w[I C], "experience" => %w[C O S R], "cost" => %w[O], "diagnosis" => %w[C],
                    "prediction" => %w[C] }.freeze
      PLACE = /\b(?:in|at|on)\s(?:\w+\s){0,2}?(?:hospital|home|homes|care|ward|wards|unit|units|clinic|clinics|school|schools|department|community|surgery|practice)\b|\b(?:inpatients?|residents|outpatients?|intensive care|nursing home|hospice|prison|school|icu|itu|nicu|picu|ed)\b/i
      private_constant :NOT_ASKED, :PLACE

      # question :: Question. Gives an Array of Gap, in the order of the frame, then where and by
      #   when.
      def self.call(question)
        blank = question.elements.select(&:blank?).reject do |element|
          NOT_ASKED.fetch(question.kind, []).include?(element.key)
        end
        gaps = blank.map { |element| Gap.new(key: element.key, ask: element.slot.ask) }
        gaps << Gap.new(key: nil, ask: Book.t("question.gap.where")) unless place?(question)
        gaps << Gap.new(key: "T", ask: Book.t("question.gap.by_when")) unless question.element("T") || question.kind == "experience"
        gaps
      end

      def self.place?(question) = question.element("W") || question.text.match?(PLACE)
      private_class_method :place?
    end
  end
end

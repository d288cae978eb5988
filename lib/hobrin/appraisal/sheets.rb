# frozen_string_literal: true

module Hobrin
  module Appraisal
    # The few questions asked of a paper, by its design: what the published instruments have in
    # common, in wording of our own, grouped by where error comes in.
    module Sheets
      # key :: Symbol; name, spirit :: in words; questions :: Array of Question
      class Sheet < Value
        attributes :key, :name, :spirit, :questions

        def question(key) = questions.find { |question| question.key == key }
      end

      GROUPS = { in: "Who came in", alike: "Groups alike", apart: "Kept apart", measured: "Measured",
                 lost: "Lost on the way",
                 told: "What is told" }.freeze
      ALL = { **Studies::ALL, **Others::ALL }.to_h do |key, (name, spirit, rows)|
        questions = rows.map do |one, group, text, cue, light|
          Question.new(key: one, group:, text:, cue:, light: light == :light)
        end
        [key, Sheet.new(key:, name:, spirit:, questions:)]
      end.freeze
      # A cohort is asked other things when the question is how a condition goes on, or who will
      # have it.
      BY_KIND = { "prognosis" => :prognosis, "prediction" => :rule }.freeze
      # The names of all questions.
      KEYS = ALL.values.flat_map { |sheet| sheet.questions.map(&:key) }.uniq.freeze
      private_constant :BY_KIND

      class << self
        # design :: Design; kind :: key of the kind of question, or nil. Gives a Sheet.
        def for(design, kind = nil)
          ALL.fetch(design.sheet == :cohort ? BY_KIND.fetch(kind, :cohort) : design.sheet)
        end
      end
    end
  end
end

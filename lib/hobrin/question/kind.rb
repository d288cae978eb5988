# frozen_string_literal: true

module Hobrin
  class Question
    # The kinds of question. The kind decides which studies answer best, the level of evidence and
    # the appraisal sheet.
    #
    # best :: the study types that answer it best, as a person would say it (common practice, no
    #   source)
    class Kind < Value
      attributes :key, :name, :asks, :best

      ALL = [
        new(key: "treatment", name: "Treatment or prevention", asks: "Does it help?",
            best: "systematic reviews of randomized trials, then single randomized trials"),
        new(key: "diagnosis", name: "Diagnosis", asks: "Can the test be trusted?",
            best: "studies that give the test and a reference standard to the same people"),
        new(key: "prognosis", name: "Prognosis", asks: "What will happen, and how likely?",
            best: "studies that follow people from the start of the condition"),
        new(key: "harm", name: "Harm or cause", asks: "Does it do damage, or bring it on?",
            best: "reviews of trials, large trials, then cohort studies"),
        new(key: "prediction", name: "Prediction rule", asks: "Can we tell who will?",
            best: "rules that were tested in people other than those they were made from"),
        new(key: "experience", name: "Experience and meaning", asks: "What is it like?",
            best: "qualitative studies and reviews of them"),
        new(key: "cost", name: "Cost", asks: "Is it worth the money?",
            best: "full economic evaluations beside a trial")
      ].freeze

      # The first word of its name, for where there is little room.
      def short = name[/\w+/].downcase

      # The kind with this key. Raises InputError for an unknown one.
      def self.fetch(key)
        ALL.find { |kind| kind.key == key } or raise InputError, { kind: "Choose one of the kinds of question." }
      end
    end
  end
end

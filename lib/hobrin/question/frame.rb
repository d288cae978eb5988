# frozen_string_literal: true

module Hobrin
  class Question
    # A frame says which elements a question has. Frames are data; see Slot for what a row holds.
    #
    # Sources, from memory: PICO Richardson 1995; SPIDER Cooke 2012; SPICE Booth 2004; ECLIPSE
    # Wildridge and Bell 2002. The letters and what they stand for are theirs, the words here are
    # ours.
    class Frame < Value
      attributes :key, :name, :good_for, :slots

      def initialize(key:, name:, good_for:, slots:)
        @key = key.dup.freeze
        @name = name.dup.freeze
        @good_for = good_for.dup.freeze
        @slots = slots.map { |row| Slot.new(frame: key, **row) }.freeze
        freeze
      end

      def slot(key) = slots.find { |slot| slot.key == key }

      PICO_ROWS = [
        { key: "P", letter: "P", name: "Patient or problem", prompt: "Who is it about, and what is the matter?",
          ask: "Who is it about?" },
        { key: "I", letter: "I", name: "Intervention", prompt: "What is done, given, tested or met with?",
          ask: "What would you do, test, or worry about?" },
        { key: "C", letter: "C", name: "Comparison", prompt: "Against what?", ask: "Against what: what is done now?",
          use: :reading },
        { key: "O", letter: "O", name: "Outcome", prompt: "What should change, or come about?",
          ask: "To what end?" }
      ].freeze
      TIME = { key: "T", letter: "T", name: "Time", prompt: "By when, or over how long?", ask: "By when?",
               use: :reading }.freeze
      STUDIES = { key: "S", letter: "S", name: "Study design", prompt: "Which studies would answer it?",
                  ask: "Which studies?", use: :limit }.freeze
      private_constant :PICO_ROWS, :TIME, :STUDIES

      ALL = [
        new(key: "pico", name: "PICO", good_for: "most clinical questions", slots: PICO_ROWS),
        new(key: "picot", name: "PICOT", good_for: "clinical questions with a time in them",
            slots: [*PICO_ROWS, TIME]),
        new(key: "picos", name: "PICOS", good_for: "clinical questions for chosen study designs",
            slots: [*PICO_ROWS, STUDIES]),
        new(key: "spider", name: "SPIDER", good_for: "experience and meaning", slots: [
              { key: "P", letter: "S", name: "Sample", prompt: "Who are the people who can tell?",
                ask: "Who can tell?" },
              { key: "I", letter: "PI", name: "Phenomenon of interest", prompt: "What do they live through or do?",
                ask: "What do they live through?" },
              { key: "S", letter: "D", name: "Design", prompt: "How were they asked: interviews, groups, diaries?",
                ask: "How were they asked?", use: :limit },
              { key: "O", letter: "E", name: "Evaluation", prompt: "What is told: views, feelings, reasons?",
                ask: "What is told?", use: :reading },
              { key: "R", letter: "R", name: "Research type", prompt: "Qualitative, quantitative or mixed?",
                ask: "Which type of research?", use: :limit }
            ]),
        new(key: "spice", name: "SPICE", good_for: "services and how they are met", slots: [
              { key: "W", letter: "S", name: "Setting", prompt: "Where?", ask: "Where?" },
              { key: "P", letter: "P", name: "Perspective", prompt: "For whom, or in whose eyes?",
                ask: "In whose eyes?" },
              { key: "I", letter: "I", name: "Intervention", prompt: "What is done or offered?",
                ask: "What is offered?" },
              { key: "C", letter: "C", name: "Comparison", prompt: "Against what?", ask: "Against what?",
                use: :reading },
              { key: "O", letter: "E", name: "Evaluation", prompt: "How would you know that it works?",
                ask: "How would you know?", use: :reading }
            ]),
        new(key: "eclipse", name: "ECLIPSE", good_for: "policy and how services are run", slots: [
              { key: "X", letter: "E", name: "Expectation", prompt: "What is hoped for, and why ask?",
                ask: "What is hoped for?", use: :reading },
              { key: "P", letter: "C", name: "Client group", prompt: "Whom does the service serve?",
                ask: "Who is served?" },
              { key: "W", letter: "L", name: "Location", prompt: "Where is it?", ask: "Where?" },
              { key: "O", letter: "I", name: "Impact", prompt: "What should change?",
                ask: "What should change?" },
              { key: "H", letter: "P", name: "Professionals", prompt: "Who gives it?", ask: "Who gives it?",
                use: :reading },
              { key: "I", letter: "SE", name: "Service", prompt: "Which service?",
                ask: "Which service?" }
            ])
      ].freeze

      PICO = ALL.first
      # What any element may be, in the order of the alphabet of PICO first.
      KEYS = ALL.flat_map(&:slots).map(&:key).uniq.freeze

      # The frame with this key. Raises InputError for an unknown one.
      def self.fetch(key)
        ALL.find { |frame| frame.key == key } || raise(InputError, { frame: "Choose one of the frames." })
      end
    end
  end
end

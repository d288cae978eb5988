# frozen_string_literal: true

module Hobrin
  class Question
    # A frame says which elements a question has. Frames are data; see Slot for what a row holds.
    #
    # Sources, from memory: PICO Richardson 1995; SPIDER Cooke 2012; SPICE Booth 2004; ECLIPSE
    # Wildridge and Bell 2002. The letters and what they stand for are theirs, the words here are
    # ours.
    class Frame < Value
      # One place of a frame, for one element.
      #
      # frame :: the key of the frame it belongs to
      # key   :: what the element is, whatever a frame calls it: the same in every frame, so that
      #   changing the frame moves nothing (P who it is about, I what is done or met, C against what,
      #   O to what end, T by when, S which studies, R which kind of research, W where, X what is
      #   hoped for, H who acts)
      # letter, name, prompt :: as this frame says it; ask :: the question put when the element is missing
      # use   :: what it is used for unless the person says otherwise, see Element
      class Slot < Value
        attributes :frame, :key, :letter, :name, :prompt, :ask, :use

        def initialize(frame:, key:, letter:, name:, prompt:, ask:, use: :searched)
          texts = [frame, key, letter, name, prompt, ask].map { |text| text.dup.freeze }
          @frame, @key, @letter, @name, @prompt, @ask = texts
          @use = use
          freeze
        end
      end

      # Whether another frame would fit a question better than PICO, and why. Common practice, no
      # source.
      module Fitting
        # frame :: the Frame; reason :: why, as a clause
        class Suggestion < Value
          attributes :frame, :reason
        end

        SERVICE = /\b(?:services?|clinics?|schemes?|teams?|pathways?|rotas?|staffing|policy|policies|drop[-\s]in|outreach|
                    hospital\sat\shome|visiting|appointments?)\b/ix
        private_constant :SERVICE

        class << self
          # question :: Question; kind :: key of the kind that it has or sounds like, or nil; time ::
          #   the words that say by when, or nil. Gives a Suggestion, nil where PICO will do or
          #   another frame was chosen.
          def call(question, kind:, time: nil)
            return unless question.frame == Frame::PICO.key

            if %w[experience cost].include?(kind) && question.text.match?(SERVICE)
              suggest("spice", "it asks how a service is met or worth")
            elsif kind == "experience"
              suggest("spider", "it asks what something is like")
            elsif time
              suggest("picot", "it has a place for “#{time}”")
            end
          end

          private

          def suggest(key, reason) = Suggestion.new(frame: Frame.fetch(key), reason:)
        end
      end

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

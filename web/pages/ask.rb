# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # The Ask step.
      class Ask < Step
        USUAL = { searched: "It becomes a block of names.", limit: "Put it on at Narrow: age, sex, study type.",
                  reading: "Judged while reading." }.freeze
        EDGES = [["start:-1", "arrow-left", "Begin a word earlier"], ["start:1", "arrow-right", "Begin a word later"],
                 ["end:-1", "arrow-left", "End a word earlier"], ["end:1", "arrow-right", "End a word later"]].freeze
        NOTHING_YET = "Take what is proposed, or mark the words yourself: " \
                      "who it is about and what you would do carry the search."
        private_constant :USUAL, :NOTHING_YET

        def kinds = Question::Kind::ALL
        def frames = Question::Frame::ALL
        def uses = Question::Element::USES
        def reading = @reading ||= Services::ReadAsk.new(@context).call(inquiry)

        # What was typed and refused, or what is stored.
        def situation = errors.empty? ? question.situation : fields.text(:situation)
        def text = errors.empty? ? question.text : fields.text(:question)

        def chosen_kind = errors.empty? ? question.kind : (fields.some_text(:kind) || question.kind)

        def typed_phrases(element)
          errors.empty? ? element.typed.map(&:text).join("; ") : fields.text(:"typed_#{element.key}")
        end

        def use(element)
          errors.empty? ? element.use : (fields.one_of(:"use_#{element.key}", uses.keys) || element.use)
        end

        def proposals(element) = reading.proposals.select { |one| one.key == element.key }

        # What is still open, but for what a proposal would answer.
        def gaps
          answered = reading.proposals.map(&:key)
          reading.gaps.reject { |gap| answered.include?(gap.key) }
        end

        # Why a proposal was made, in words.
        def why(proposal)
          cue = proposal.cue && "stands by “#{proposal.cue}”"
          known = "the thesaurus knows #{proposal.headings.join(", ")}" if proposal.headings.any?
          [cue, known].compact.join("; ").then { |text| text.empty? ? "from the shape of the sentence" : text }
        end

        # Why an element that is blank or not searched stands as it does, in the rules of practice.
        def remark(element)
          return element.slot.prompt if element.blank?

          reading.advice[element.key]&.text || USUAL.fetch(element.use)
        end

        # The use that the rules of practice would give an element, when it has another one.
        def better_use(element)
          use = reading.advice[element.key]&.use
          use unless use == element.use
        end

        def no_use(element) = reading.no_use.fetch(element.key, [])

        # Whether a marked phrase is open for its edges to be moved.
        def open?(element, phrase) = fields.text(:phrase) == "#{element.key}:#{phrase.from}"

        def kind_words
          guess = reading.guess
          return "#{kind.name} is best answered by #{kind.best}.#{other_guess(guess)}" if kind
          return "Choose one: it decides which studies answer best." unless guess

          "It sounds like #{guess.kind.name.downcase}, because of “#{guess.cue}”. Best answered by #{guess.kind.best}."
        end

        # The key of the kind that is proposed, while none is chosen.
        def proposed_kind = kind ? nil : reading.guess&.kind&.key

        def next_words
          return NOTHING_YET if question.searched.empty?
          return "Say what kind of question it is: that decides which studies answer it." unless question.kind

          letters = question.searched.map(&:letter)
          "#{letters.join(", ")} will be searched#{" together" if letters.size > 1}."
        end

        # The sentence in parts: [words, the Element and its Phrase or nil, the Proposal or nil].
        def parts
          marks = question.marks.map { |element, phrase| [phrase, element, nil] }
          pieces = (marks + reading.proposals.map { |one| [one.phrase, nil, one] }).sort_by { |phrase,| phrase.from }
          at = 0
          found = pieces.flat_map do |phrase, element, proposal|
            before = [question.text[at...phrase.from], nil, nil, nil]
            at = phrase.to
            [before, [phrase.text, element, phrase, proposal]]
          end
          [*found, [question.text[at..], nil, nil, nil]]
        end

        private

        def other_guess(guess)
          return "" if guess.nil? || guess.kind == kind

          " The sentence sounds like #{guess.kind.name.downcase}, because of “#{guess.cue}”."
        end
      end
    end
  end
end

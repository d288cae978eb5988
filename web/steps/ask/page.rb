# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Ask
        # The Ask step.
        class Page < StepPage
          KEY = :ask

          # A piece of the sentence: as :: :marked, :proposed or :plain; key, element :: whose it is;
          #   path :: where its edges
          # are moved; value :: by which a proposal is taken
          class Piece < Value
            attributes :words, :as, :key, :element, :path, :value, :sure

            def initialize(words:, as: :plain, key: nil, element: nil, path: nil, value: nil,
                           sure: true)
              super
            end
          end

          # A limit that the sentence mentions: name :: of the limit; words :: as the sentence has
          #   them
          class Mention < Value
            attributes :name, :words, :limit
          end

          # What the question is understood to say.
          attr_reader :reading

          # context :: Services::Context
          def initialize(context:, **rest)
            super(**rest)
            @reading = Services::Ask::Read.new(context).call(inquiry)
            freeze
          end

          def elements = question.elements.map { |element| ElementCard.new(self, element) }
          def proposals? = reading.proposals.any?

          def situation = typed_or(:situation, question.situation)
          def text = typed_or(:question, question.text)

          def frames
            Question::Frame::ALL.map { |frame| [frame.key, "#{frame.name}: #{frame.good_for}", frame.key == question.frame] }
          end

          def kinds = Question::Kind::ALL
          def chosen_kind = typed_or(:kind, question.kind)

          # The key of the kind that is proposed, while none is chosen.
          def proposed_kind = kind ? nil : reading.guess&.kind&.key

          # What is still open, but for what a proposal would answer.
          def gaps
            answered = reading.proposals.map(&:key)
            reading.gaps.reject { |gap| answered.include?(gap.key) }
          end

          # The field that would answer a gap, nil when the frame has none.
          def field_for(gap) = ("typed_#{gap.key}" if gap.key && question.element(gap.key))

          # Words that are likely misspelled: [Question::Slips::Slip, what a press sends].
          def slips = reading.slips.map { |slip| [slip, "#{slip.from}:#{slip.meant}"] }

          # Question::Frame::Fitting::Suggestion, or nil.
          def fitting_frame = reading.frame

          def mentions
            reading.mentioned.map do |mention|
              name = Narrowing::AppliedLimit::Wording::NAMES.fetch(mention.leaf.name).downcase
              Mention.new(name: mention.leaf.name, words: mention.words, limit: "#{name} #{Narrowing::AppliedLimit::Wording.of(mention.leaf)}")
            end
          end

          def kind_words
            guess = reading.guess
            return [Book.t("ask.page.answered_by", kind: kind.name, designs: kind.best), other_guess(guess)].compact.join(" ") if kind
            return Book.t("ask.page.choose_type") unless guess

            Book.t("ask.page.guessed", guess: sounds(guess), designs: guess.kind.best)
          end

          def next_words
            return Book.t("ask.page.nothing_marked") if question.searched.empty?
            return Book.t("ask.page.choose_type_next") unless question.kind

            letters = question.searched.map(&:letter)
            Book.t("ask.page.will_be_searched", count: letters.size, elements: Book.list(letters))
          end

          # The sentence in its pieces, marked, proposed and plain.
          def pieces
            at = 0
            found = (marked_pieces + proposed_pieces).sort_by { |phrase, _| phrase.from }.flat_map do |phrase, piece|
              before = Piece.new(words: question.text[at...phrase.from])
              at = phrase.to
              [before, piece]
            end
            [*found, Piece.new(words: question.text[at..])]
          end

          private

          def marked_pieces
            question.marks.map do |element, phrase|
              address = path(key, phrase: "#{element.key}:#{phrase.from}")
              [phrase,
               Piece.new(words: phrase.text, as: :marked, key: element.key, element:, path: address)]
            end
          end

          def proposed_pieces
            reading.proposals.map do |proposal|
              value = "#{proposal.key}:#{proposal.phrase.from}"
              [proposal.phrase,
               Piece.new(words: proposal.phrase.text, as: :proposed, key: proposal.key, value:,
                         sure: proposal.sure?)]
            end
          end

          def other_guess(guess)
            "#{sounds(guess)}." unless guess.nil? || guess.kind == kind
          end

          # How sure it is, and by which words.
          def sounds(guess)
            key = guess.sure >= Question::Understanding::LIKELY ? "sounds_like" : "may_be"
            kind = guess.kind.name.downcase
            guess.cue ? Book.t("ask.page.#{key}_by", kind:, cue: guess.cue) : Book.t("ask.page.#{key}", kind:)
          end

          # Why a phrase is proposed, in words.
          class Why
            # proposal :: Question::Understanding::Proposal
            def initialize(proposal)
              @proposal = proposal
            end

            def to_s
              words = [*@proposal.reasons.map { |reason| told(reason) }, known].compact
              words.empty? ? Book.t("ask.page.from_shape") : words.join("; ")
            end

            private

            def told(reason)
              return Book.t("ask.proposal.class.#{reason.word}") if reason.what == :names

              Book.t("ask.proposal.reason.#{reason.what}", word: reason.word)
            end

            def known
              Book.t("ask.page.in_thesaurus", headings: @proposal.headings.join(", ")) if @proposal.headings.any?
            end
          end
        end
      end
    end
  end
end

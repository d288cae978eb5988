# frozen_string_literal: true

module Hobrin
  module Edits
    # Everything that can be done to the question: its sentence, the marks in it, and how each
    # element is used.
    module Ask
      # Saves what Ask holds, together with the one button that was pressed: a form has one change,
      # so the trail has one line.
      #
      # draft :: Draft; press :: Mark, Unmark, MoveEdge, TakeProposals, LeaveProposal or ChangeUse,
      #   nil for none
      # limit :: the name of a limit that the sentence mentions and that is to be put on, nil for
      #   none
      class WriteQuestion < Edit
        STEP = :ask
        attributes :draft, :press, :limit

        def initialize(draft:, press: nil, limit: nil)
          super
        end

        def about(inquiry) = inquiry.question

        def call(inquiry, surroundings)
          question = draft.call(inquiry.question)
          question = press.call(question, surroundings) if press
          leaf = mentioned(question, surroundings.today)
          changed = inquiry.with(question:)
          changed = changed.with_limit(leaf) if leaf
          Change.new(inquiry: changed, kind: :question_written,
                     facts: { changes: QuestionChanges.call(inquiry.question, question), limit: leaf }.compact)
        end

        private

        def mentioned(question, today)
          return unless limit

          Narrowing::MentionedLimits.new(today).call(question.text).find { |mention| mention.leaf.name == limit }&.leaf
        end
      end

      # What the form of Ask holds.
      #
      # situation, text :: Strings; kind, frame :: a key, or nil to leave it as it is
      # uses  :: Hash of key to a use; typed :: Hash of key to a String, phrases apart by ";",
      #   because the sentence lacks them
      class Draft < Value
        attributes :situation, :text, :kind, :frame, :uses, :typed

        def initialize(situation:, text:, kind: nil, frame: nil, uses: {}, typed: {})
          super
        end

        # The Question as it is written here. Raises InputError from Question.
        def call(question)
          reworded = question.reworded(text)
          elements = reworded.elements.map { |element| element_of(element) }
          written = reworded.with(situation:, kind: kind || question.kind, elements:)
          frame && frame != question.frame ? written.framed(frame) : written
        end

        private

        def element_of(element)
          said = typed.fetch(element.key, "").split(";").map(&:strip).reject(&:empty?)
          marked = element.phrases.select(&:marked?)
          fresh = (said - marked.map(&:text)).uniq.map { |text| Question::Phrase.new(text: Question.tidy(text)) }
          element.with(phrases: marked + fresh, use: uses.fetch(element.key, element.use))
        end
      end

      # Marks words of the sentence as an element.
      #
      # key :: of the element; words :: as selected; near :: the character where they were selected
      class Mark < Value
        attributes :key, :words, :near

        def initialize(key:, words:, near: 0)
          super
        end

        def call(question, _surroundings) = question.marked(key, words, near:)
      end

      # Takes a mark off, or a typed phrase out.
      #
      # key :: of the element; place :: the first character of the marked phrase, or the text of a
      #   typed one
      class Unmark < Value
        attributes :key, :place

        def call(question, _surroundings)
          question.element(key) ? question.unmarked(key, place) : question
        end
      end

      # Moves an edge of a marked phrase over one word.
      #
      # key :: of the element; from :: the first character of the phrase; edge :: :start or :end;
      # by :: 1 to the right, -1 left
      class MoveEdge < Value
        attributes :key, :from, :edge, :by

        def call(question, _surroundings)
          question.element(key) ? question.with_edge(key, from, edge, by) : question
        end
      end

      # Writes one word of the question as it was meant; marks stay where they are.
      #
      # from :: the first character of the word; meant :: the word to put in its place
      class Respell < Value
        attributes :from, :meant

        def call(question, _surroundings)
          _, start, stop = Text::Tokens.located(question.text).find { |_, first, _| first == from }
          return question unless start

          question.reworded(question.text.dup.tap { |text| text[start...stop] = meant })
        end
      end

      # Marks the proposals that a person takes.
      #
      # wanted :: Array of "key:first character" of each one that is taken, the key being that of
      #   the element proposed or of the other one that it may be; or ["all"], which also takes the
      #   kind that the sentence sounds like while none is chosen
      class TakeProposals < Value
        attributes :wanted

        def call(question, surroundings)
          all = wanted.include?("all")
          open = surroundings.understanding.open(question)
          marked = open.reduce(question) do |now, one|
            key = all ? one.key : [one.key, one.other].find { |each| wanted.include?("#{each}:#{one.phrase.from}") }
            key && now.element(key) ? now.marked(key, one.phrase.text, near: one.phrase.from) : now
          end
          guess = all && !marked.kind && surroundings.understanding.kind(marked.text)
          guess ? marked.with(kind: guess.kind.key) : marked
        end
      end

      # Leaves a proposal, so that it is not made again.
      class LeaveProposal < Value
        attributes :key, :words

        def call(question, _surroundings)
          question.element(key) ? question.declining(key, words) : question
        end
      end

      # Uses an element for what the rules of practice would.
      class ChangeUse < Value
        attributes :key, :use

        def call(question, _surroundings)
          question.element(key) ? question.with_use(key, use) : question
        end
      end

      # What is to be told of a question that was written anew: an Array of Hashes, each with `what`
      # and what belongs to it.
      module QuestionChanges
        class << self
          # before, after :: Question
          def call(before, after)
            [*texts(before, after), *named(before, after), *declined(before, after),
             *elements(before, after)]
          end

          private

          def texts(before, after)
            [({ what: "reworded" } if before.text != after.text),
             ({ what: "situation" } if before.situation != after.situation)].compact
          end

          def named(before, after)
            [({ what: "kind", kind: after.kind } if before.kind != after.kind),
             ({ what: "frame", frame: after.frame } if before.frame != after.frame)].compact
          end

          def declined(before, after)
            (after.declined - before.declined).map { |_, words| { what: "declined", words: } }
          end

          def elements(before, after)
            pairs = after.elements.map { |new| [before.element(new.key) || Question::Element.blank(new.slot), new] }
            pairs.reject { |old, new| same?(old, new) }.map { |old, new| element(old, new) }
          end

          # A phrase that only moved with its sentence is no change worth telling.
          def same?(old, new)
            old.use == new.use && old.phrases.map(&:text) == new.phrases.map(&:text)
          end

          def element(old, new)
            return { what: "use", letter: new.letter, use: new.use.to_s } if old.use != new.use

            { what: "phrases", letter: new.letter, name: new.name }
          end
        end
      end
    end
  end
end

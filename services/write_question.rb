# frozen_string_literal: true

module Hobrin
  module Services
    # Saves what the Ask step holds: situation, sentence, kind of question, what each element is used for,
    # and phrases typed because the sentence lacks them.
    class WriteQuestion
      # kind, frame :: a key, or nil to leave it as it is; uses :: Hash of key to a use; typed :: Hash of key to a String, phrases apart by ";"
      Draft = Struct.new(:situation, :text, :kind, :frame, :uses, :typed, keyword_init: true)

      def initialize(context, seen: nil)
        @change = ChangeInquiry.new(context, seen:)
      end

      # The block, if any, gets the written Question and gives a changed one, for a mark made in the same press.
      def call(id, draft, &further)
        @change.call(id, step: :ask, part: :question.to_proc) do |inquiry|
          written = write(inquiry.question, draft)
          written = further.call(written) if further
          [inquiry.with(question: written), Wording.new(inquiry.question, written).call]
        end
      end

      private

      def write(question, draft)
        reworded = question.reworded(draft.text)
        elements = reworded.elements.map { |element| element_of(element, draft) }
        written = reworded.with(situation: draft.situation, kind: draft.kind || question.kind, elements:)
        draft.frame && draft.frame != question.frame ? written.framed(draft.frame) : written
      end

      def element_of(element, draft)
        typed = draft.typed.fetch(element.key, "").split(";").map(&:strip).reject(&:empty?)
        marked = element.phrases.select(&:marked?)
        fresh = (typed - marked.map(&:text)).uniq.map { |text| Question::Phrase.new(text: Question.tidy(text)) }
        element.with(phrases: marked + fresh, use: draft.uses.fetch(element.key, element.use))
      end

      # What changed, in words, for the trail.
      class Wording
        def initialize(before, after)
          @before = before
          @after = after
        end

        def call = [*fields, *kind, *frame, *elements].join("; ").then { |text| text[0].to_s.upcase + text[1..].to_s }

        private

        def fields
          [("reworded the question" if @before.text != @after.text),
           ("wrote the situation" if @before.situation != @after.situation)].compact
        end

        def kind = @before.kind == @after.kind ? [] : ["kind of question: #{Question::Kind.fetch(@after.kind).name}"]

        def frame = @before.frame == @after.frame ? [] : ["frame: #{Question::Frame.fetch(@after.frame).name}"]

        def elements
          left = (@after.declined - @before.declined).map { |_, words| "left the proposal “#{words}”" }
          pairs = @after.elements.map { |new| [@before.element(new.key) || Question::Element.blank(new.slot), new] }
          left + pairs.reject { |old, new| same?(old, new) }.map { |old, new| element(old, new) }
        end

        # A phrase that only moved with its sentence is no change worth telling.
        def same?(old, new) = old.use == new.use && old.phrases.map(&:text) == new.phrases.map(&:text)

        def element(old, new)
          return "#{new.letter} is #{Question::Element::USES.fetch(new.use)}" if old.use != new.use

          new.blank? ? "cleared #{new.letter}" : "#{new.letter}: #{new.name}"
        end
      end
      private_constant :Wording
    end
  end
end

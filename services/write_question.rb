# frozen_string_literal: true

module Hobrin
  module Services
    # Saves what the Ask step holds: situation, sentence, kind of question, what each element is used for,
    # and phrases typed because the sentence lacks them.
    class WriteQuestion
      # kind :: a key, or nil to leave it as it is; uses :: Hash of letter to a use; typed :: Hash of letter to a String, phrases apart by ";"
      Draft = Struct.new(:situation, :text, :kind, :uses, :typed, keyword_init: true)

      def initialize(context)
        @change = ChangeInquiry.new(context)
      end

      # The block, if any, gets the written Question and gives a changed one, for a mark made in the same press.
      def call(id, draft, version: nil, &further)
        @change.call(id, step: :ask, version:) do |inquiry|
          written = write(inquiry.question, draft)
          written = further.call(written) if further
          [inquiry.with(question: written), Wording.new(inquiry.question, written).call]
        end
      end

      private

      def write(question, draft)
        reworded = question.reworded(draft.text)
        elements = reworded.elements.map { |element| element_of(element, draft) }
        reworded.with(situation: draft.situation, kind: draft.kind || question.kind, elements:)
      end

      def element_of(element, draft)
        typed = draft.typed.fetch(element.letter, "").split(";").map(&:strip).reject(&:empty?)
        marked = element.phrases.select(&:marked?)
        fresh = (typed - marked.map(&:text)).uniq.map { |text| Question::Phrase.new(text: Question.tidy(text)) }
        element.with(phrases: marked + fresh, use: draft.uses.fetch(element.letter, element.use))
      end

      # What changed, in words, for the trail.
      class Wording
        def initialize(before, after)
          @before = before
          @after = after
        end

        def call = [*fields, *kind, *elements].join("; ").then { |text| text[0].to_s.upcase + text[1..].to_s }

        private

        def fields
          [("reworded the question" if @before.text != @after.text),
           ("wrote the situation" if @before.situation != @after.situation)].compact
        end

        def kind = @before.kind == @after.kind ? [] : ["kind of question: #{Question::Kind.fetch(@after.kind).name}"]

        def elements
          pairs = @before.elements.zip(@after.elements)
          pairs.reject { |old, new| same?(old, new) }.map { |old, new| element(old, new) }
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

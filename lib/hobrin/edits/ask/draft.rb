# frozen_string_literal: true

module Hobrin
  module Edits
    module Ask
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
    end
  end
end

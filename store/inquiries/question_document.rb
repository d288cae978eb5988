# frozen_string_literal: true

module Hobrin
  module Store
    # A question to and from plain data. An element names its place by frame and key; what a frame
    # calls it is not stored.
    module QuestionDocument
      class << self
        def dump(question)
          elements = question.elements.map do |element|
            { frame: element.slot.frame, key: element.key, use: element.use,
              phrases: element.phrases.map { |phrase| { text: phrase.text, from: phrase.from } } }
          end
          { situation: question.situation, text: question.text, kind: question.kind, frame: question.frame,
            declined: question.declined, elements: }
        end

        # data :: Hash with Symbols for keys
        def load(data) = Question.new(**data, elements: data[:elements].map { |one| element(one) })

        private

        def element(data)
          phrases = data[:phrases].map { |phrase| Question::Phrase.new(**phrase) }
          slot = Question::Frame.fetch(data[:frame]).slot(data[:key])
          Question::Element.new(slot:, phrases:, use: data[:use].to_sym)
        end
      end
    end
  end
end

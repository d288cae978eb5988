# frozen_string_literal: true

module Hobrin
  # The question from the bedside: the situation, the sentence, its marked phrases and what kind of
  # question it is.
  #
  # situation, text :: Strings of one paragraph; kind :: a Kind's key, or nil while not chosen
  # elements        :: one Element for each slot of the frame, in its order
  #
  # Raises InputError naming :situation, :text or :kind when one is too long or unknown.
  class Question < Value
    attributes :situation, :text, :kind, :elements

    LONGEST = { situation: 2_000, text: 500 }.freeze

    # A new question with nothing marked. Raises InputError when the text is empty or too long.
    def self.ask(text, situation: "")
      new(situation:, text:, kind: nil, elements: Frame::PICO.map { |slot| Element.blank(slot) })
    end

    # One paragraph: control characters and line breaks become spaces, without moving any other letter
    # of the line, so that a place counted on screen is a place here.
    def self.tidy(text) = text.to_s.gsub("\r\n", "\n").gsub(/[[:cntrl:]]/, " ").rstrip

    def initialize(situation:, text:, kind:, elements:)
      @situation = Question.tidy(situation).freeze
      @text = Question.tidy(text).freeze
      errors = length_errors
      raise InputError, errors unless errors.empty?

      @kind = kind && Kind.fetch(kind).key
      @elements = elements.freeze
      freeze
    end

    def element(letter) = elements.find { |element| element.letter == letter }

    # The elements that become blocks.
    def searched = elements.select(&:searched?)

    # Marked phrases as [Element, Phrase], in the order of the sentence.
    def marks
      elements.flat_map { |element| element.phrases.select(&:marked?).map { |phrase| [element, phrase] } }
              .sort_by { |_, phrase| phrase.from }
    end

    # The question with changed words; marks stay with their phrases, and one whose phrase is gone is dropped.
    def reworded(new_text)
      new_text = Question.tidy(new_text)
      move = Reanchoring.new(text, new_text)
      kept = elements.map { |element| element.with(phrases: element.phrases.filter_map { |phrase| move.call(phrase) }) }
      with(text: new_text, elements: kept)
    end

    # The question with a phrase of the sentence marked. What overlapped it before gives way.
    #
    # phrase_text :: the words; near :: the place to look from, as the same words may stand twice
    # Raises InputError when the words are not in the sentence.
    def marked(letter, phrase_text, near: 0)
      wanted = Question.tidy(phrase_text).strip
      from = nearest(wanted, near)
      if from.nil? || wanted.empty?
        raise InputError, { mark: "Select some words of the question first, then say what they are." }
      end

      phrase = Phrase.new(text: wanted, from:)
      cleared(phrase).with_phrases(letter) { |phrases| [*phrases, phrase] }
    end

    def unmarked(letter, phrase_text)
      with_phrases(letter) { |phrases| phrases.reject { |phrase| phrase.text == phrase_text } }
    end

    # The question with an element's phrases replaced by what the block gives.
    def with_phrases(letter)
      with(elements: elements.map do |element|
        element.letter == letter ? element.with(phrases: yield(element.phrases)) : element
      end)
    end

    private

    def length_errors
      errors = LONGEST.filter_map do |field, most|
        [field, too_long(field, most)] if public_send(field).size > most
      end.to_h
      errors[:text] = "Write the question first, in your own words." if text.strip.empty?
      errors
    end

    def too_long(field, most)
      size = public_send(field).size
      "This is #{size} characters long. Keep it to #{most}: one #{field == :text ? "question" : "paragraph"}."
    end

    # The question without the marks that a phrase overlaps.
    def cleared(phrase)
      with(elements: elements.map do |element|
        element.with(phrases: element.phrases.reject { |other| other.overlaps?(phrase) })
      end)
    end

    def nearest(wanted, near)
      places = []
      place = -1
      places << place while (place = text.index(wanted, place + 1))
      places.min_by { |from| (from - near).abs }
    end
  end
end

# frozen_string_literal: true

module Hobrin
  # The question from the bedside: the situation, the sentence, its marked phrases and what kind of
  # question it is.
  #
  # situation, text :: Strings of one paragraph; kind :: a Kind's key, or nil while not chosen
  # frame           :: a Frame's key
  # declined        :: Array of [key, words] of the proposals that the person left
  # elements        :: one Element for each slot of the frame, in its order, then those of a former
  #   frame that still hold something
  #
  # Raises InputError naming :situation, :text, :kind or :frame when one is too long or unknown.
  class Question < Value
    attributes :situation, :text, :kind, :frame, :elements, :declined

    # A new question with nothing marked. Raises InputError when the text is empty or too long.
    def self.ask(text, situation: "")
      new(situation:, text:, kind: nil, elements: Frame::PICO.slots.map { |slot| Element.blank(slot) })
    end

    # One paragraph: control characters and line breaks become spaces, without moving any other
    # letter of the line, so that a place counted on screen is a place here.
    def self.tidy(text) = text.to_s.gsub("\r\n", "\n").gsub(/[[:cntrl:]]/, " ").rstrip

    def initialize(situation:, text:, kind:, elements:, frame: Frame::PICO.key, declined: [])
      @situation = Question.tidy(situation).freeze
      @text = Question.tidy(text).freeze
      errors = length_errors
      raise InputError, errors unless errors.empty?

      @kind = kind && Kind.fetch(kind).key
      @frame = Frame.fetch(frame).key
      @elements = elements.freeze
      @declined = declined.map { |phrase| phrase.map(&:freeze).freeze }.freeze
      freeze
    end

    def element(key) = elements.find { |element| element.key == key }

    # The two groups that it compares, as far as it says.
    def arms
      intervention, comparison = %w[I C].map { |key| element(key)&.name.to_s[0, FieldLengths.of(:group)] }
      CloseReading::Arms.new(intervention:, comparison:)
    end

    # The elements that become blocks.
    def searched = elements.select(&:searched?)

    # The question in another frame. What an element holds stays with it; one that the new frame has
    # no place for is kept behind the others while it holds something. Raises InputError for an
    # unknown frame.
    def framed(key)
      slots = Frame.fetch(key).slots
      moved = slots.map do |slot|
        element(slot.key)&.then { |old| old.with(slot:, use: old.blank? ? slot.use : old.use) } || Element.blank(slot)
      end
      left = elements.reject { |old| old.blank? || slots.any? { |slot| slot.key == old.key } }
      with(frame: key, elements: moved + left)
    end

    # Marked phrases as [Element, Phrase], in the order of the sentence.
    def marks
      elements.flat_map { |element| element.marked.map { |phrase| [element, phrase] } }
              .sort_by { |_, phrase| phrase.from }
    end

    # The question with changed words; marks stay with their phrases, and one whose phrase is gone
    # is dropped.
    def reworded(new_text)
      new_text = Question.tidy(new_text)
      move = Marks::Reanchoring.new(text, new_text)
      kept = elements.map do |element|
        element.with(phrases: element.phrases.filter_map { |phrase| move.call(phrase) })
      end
      with(text: new_text, elements: kept)
    end

    # The question with a phrase of the sentence marked. What overlapped it before gives way.
    #
    # phrase_text :: the words; near :: the place to look from, as the same words may stand twice
    # Raises InputError when the words are not in the sentence.
    def marked(key, phrase_text, near: 0)
      wanted = Question.tidy(phrase_text).strip
      from = nearest(wanted, near)
      if from.nil? || wanted.empty?
        raise InputError,
              { mark: Book.t("question.errors.select_words") }
      end

      phrase = Phrase.new(text: wanted, from:)
      cleared(phrase).with_phrases(key) { |phrases| [*phrases, phrase] }
    end

    # use :: see Element. Raises InputError for an unknown one.
    def with_use(key, use)
      with(elements: elements.map { |element| element.key == key ? element.with(use:) : element })
    end

    # The question without one proposal, which is not made again.
    def declining(key, words) = with(declined: declined | [[key, words]])

    # from :: where the phrase begins, or its words for one that was typed
    def unmarked(key, from)
      with_phrases(key) do |phrases|
        phrases.reject { |phrase| (phrase.from || phrase.text) == from }
      end
    end

    # The question with one edge of a marked phrase a whole word further out or in. As it is when
    # there is no such phrase, or no word to move over; a phrase keeps at least one word.
    #
    # from :: where the phrase begins; edge :: :start or :end; by :: 1 to the right, -1 to the left
    def with_edge(key, from, edge, by)
      phrase = element(key)&.marked&.find { |marked| marked.from == from } or return self
      moved = Marks::Edges.new(text).call(phrase, edge, by) or return self

      without = with_phrases(key) { |phrases| phrases - [phrase] }
      without.cleared(moved).with_phrases(key) { |phrases| [*phrases, moved] }
    end

    # The question with an element's phrases replaced by what the block gives.
    def with_phrases(key)
      with(elements: elements.map { |element| element.key == key ? element.with(phrases: yield(element.phrases)) : element })
    end

    # The question without the marks that a phrase overlaps.
    def cleared(phrase)
      with(elements: elements.map { |element| element.with(phrases: element.phrases.reject { |other| other.overlaps?(phrase) }) })
    end

    private

    def length_errors
      errors = { situation: :situation, text: :question }.select { |name, field| FieldLengths.over?(field, public_send(name)) }
      errors = errors.to_h { |name, field| [name, too_long(name, FieldLengths.of(field))] }
      errors[:text] = Book.t("question.errors.write_question") if text.strip.empty?
      errors
    end

    def too_long(field, most)
      size = public_send(field).size
      Book.t("question.errors.too_long", size:, most:, part: Book.t("question.part.#{field == :text ? "question" : "paragraph"}"))
    end

    def nearest(wanted, near)
      places = []
      place = -1
      places << place while (place = text.index(wanted, place + 1))
      places.min_by { |from| (from - near).abs }
    end

    # One element of the frame as this question fills it.
    #
    # slot :: the place of the frame that it fills; after a change of frame perhaps one of the former frame
    # use  :: :searched (it becomes a block), :limit (a limit says it better: age, sex) or
    #         :reading (kept for reading the papers; they seldom say it)
    class Element < Value
      attributes :slot, :phrases, :use

      USES = Book.names("question.use", %i[searched limit reading])

      def self.blank(slot) = new(slot:, phrases: [], use: slot.use)

      # Raises InputError for an unknown use.
      def initialize(slot:, phrases:, use:)
        raise InputError, { "use_#{slot.key}": Book.t("question.errors.use") } unless USES.key?(use)

        @slot = slot
        @phrases = phrases.sort_by { |phrase| phrase.from || Float::INFINITY }.freeze
        @use = use
        freeze
      end

      def key = slot.key
      def letter = slot.letter
      def searched? = use == :searched && !blank?
      def blank? = phrases.empty?

      # "sleep or delirium"; empty when nothing is marked.
      def name = phrases.map(&:text).join(" or ")

      def typed = phrases.reject(&:marked?)
      def marked = phrases.select(&:marked?)
    end

    # Words that stand for an element: marked in the sentence, with the first character's place, or
    # typed because the sentence lacks them, with no place.
    class Phrase < Value
      attributes :text, :from

      def initialize(text:, from: nil)
        raise ArgumentError, "a phrase needs text" if text.to_s.strip.empty?

        @text = text.dup.freeze
        @from = from
        freeze
      end

      def marked? = !from.nil?

      # The place one past the last character, or nil when it is not in the sentence.
      def to = marked? ? from + text.size : nil

      def overlaps?(other) = marked? && other.marked? && from < other.to && other.from < to
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Question
    # A frame says which elements a question has. Frames are data: a letter, a name, a prompt in plain
    # words, and what an element is used for unless the person says otherwise.
    module Frame
      # use :: :searched, :limit or :reading, see Element
      Slot = Struct.new(:letter, :name, :prompt, :use, keyword_init: true) do
        def initialize(**)
          super
          freeze
        end
      end

      PICO = [
        Slot.new(letter: "P", name: "Patient or problem", prompt: "Who is it about, and what is the matter?",
                 use: :searched),
        Slot.new(letter: "I", name: "Intervention", prompt: "What would you do, give or use?", use: :searched),
        Slot.new(letter: "C", name: "Comparison", prompt: "Against what?", use: :reading),
        Slot.new(letter: "O", name: "Outcome", prompt: "What should change, and for the better?", use: :searched)
      ].freeze

      def self.slot(letter) = PICO.find { |slot| slot.letter == letter }

      def self.letters = PICO.map(&:letter)
    end
  end
end

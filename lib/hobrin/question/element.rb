# frozen_string_literal: true

module Hobrin
  class Question
    # One element of the frame as this question fills it.
    #
    # use :: :searched (it becomes a block), :limit (a limit says it better: age, sex) or
    #        :reading (kept for reading the papers; they seldom say it)
    class Element < Value
      attributes :letter, :phrases, :use

      USES = { searched: "searched", limit: "left to a limit", reading: "kept for reading" }.freeze

      def self.blank(slot) = new(letter: slot.letter, phrases: [], use: slot.use)

      # Raises InputError for an unknown use.
      def initialize(letter:, phrases:, use:)
        raise InputError, { "use_#{letter}": "Choose how this element is used." } unless USES.key?(use)

        @letter = letter.dup.freeze
        @phrases = phrases.sort_by { |phrase| phrase.from || Float::INFINITY }.freeze
        @use = use
        freeze
      end

      def slot = Frame.slot(letter)
      def searched? = use == :searched && !blank?
      def blank? = phrases.empty?

      # "sleep or delirium"; empty when nothing is marked.
      def name = phrases.map(&:text).join(" or ")

      def typed = phrases.reject(&:marked?)
    end
  end
end

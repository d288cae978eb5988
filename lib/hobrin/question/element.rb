# frozen_string_literal: true

module Hobrin
  class Question
    # One element of the frame as this question fills it.
    #
    # slot :: the place of the frame that it fills; after a change of frame perhaps one of the former frame
    # use  :: :searched (it becomes a block), :limit (a limit says it better: age, sex) or
    #         :reading (kept for reading the papers; they seldom say it)
    class Element < Value
      attributes :slot, :phrases, :use

      USES = { searched: "searched", limit: "left to a limit", reading: "kept for reading" }.freeze

      def self.blank(slot) = new(slot:, phrases: [], use: slot.use)

      # Raises InputError for an unknown use.
      def initialize(slot:, phrases:, use:)
        raise InputError, { "use_#{slot.key}": "Choose how this element is used." } unless USES.key?(use)

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
  end
end

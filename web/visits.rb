# frozen_string_literal: true

module Hobrin
  module Web
    # Where a person left each inquiry, as far as their browser remembers: looking changes nothing
    # that is kept.
    class Visits
      KEY = "left_at"
      MOST = 12
      private_constant :KEY, :MOST

      # session :: the Rack session
      def initialize(session)
        @session = session
      end

      # Remembers the step; the trail is none that one is left at.
      def remember(id, step)
        return unless Inquiry::STEPS.include?(step)

        others = list.reject { |other, _| other == id }
        @session[KEY] = [*others, [id, step.to_s]].last(MOST)
      end

      # The step (Symbol) at which an inquiry was left, nil when that is not known.
      def step(id) = list.find { |other, _| other == id }&.last&.to_sym

      private

      def list = @session[KEY].then { |kept| kept.is_a?(Array) ? kept : [] }
    end
  end
end

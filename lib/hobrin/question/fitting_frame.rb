# frozen_string_literal: true

module Hobrin
  class Question
    # Whether another frame would fit a question better than PICO, and why. Common practice, no
    # source.
    module FittingFrame
      # frame :: the Frame; reason :: why, as a clause
      class Suggestion < Value
        attributes :frame, :reason
      end

      SERVICE = /\b(?:services?|clinics?|schemes?|teams?|pathways?|rotas?|staffing|policy|policies|drop[-\s]in|outreach|
                  hospital\sat\shome|visiting|appointments?)\b/ix
      private_constant :SERVICE

      class << self
        # question :: Question; kind :: key of the kind that it has or sounds like, or nil; time ::
        #   the words that say by when, or nil. Gives a Suggestion, nil where PICO will do or
        #   another frame was chosen.
        def call(question, kind:, time: nil)
          return unless question.frame == Frame::PICO.key

          if %w[experience cost].include?(kind) && question.text.match?(SERVICE)
            suggest("spice", "it asks how a service is met or worth")
          elsif kind == "experience"
            suggest("spider", "it asks what something is like")
          elsif time
            suggest("picot", "it has a place for “#{time}”")
          end
        end

        private

        def suggest(key, reason) = Suggestion.new(frame: Frame.fetch(key), reason:)
      end
    end
  end
end

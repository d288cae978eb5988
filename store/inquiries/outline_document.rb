# frozen_string_literal: true

module Hobrin
  module Store
    # An Inquiry::Outline to and from JSON. One of another format is made anew from its inquiry.
    module OutlineDocument
      FORMAT = 1
      PLAIN = %i[blocks terms decided kept unsure weighed decision concluded measured steps signed_line].freeze
      private_constant :FORMAT, :PLAIN

      class << self
        def dump(outline)
          JSON.generate({ format: FORMAT, question: QuestionDocument.dump(outline.question),
                          aim: { from: outline.aim.from, to: outline.aim.to }, **outline.to_h.slice(*PLAIN),
                          open_steps: outline.open_steps.map { |step| { **step.to_h, on: step.on&.iso8601 } },
                          look_again_on: outline.look_again_on&.iso8601 })
        end

        # text :: as `dump` gives it. Gives an Inquiry::Outline, nil for none or another format.
        def load(text)
          data = text && JSON.parse(text, symbolize_names: true)
          return unless data && data[:format] == FORMAT

          steps = data[:open_steps].map { |step| Brief::ActionPlan::Step.new(**step, on: day(step[:on])) }
          Inquiry::Outline.new(**data.slice(*PLAIN), question: QuestionDocument.load(data[:question]),
                                                     aim: Narrowing::Target.new(**data[:aim]), open_steps: steps,
                                                     look_again_on: day(data[:look_again_on]))
        end

        private

        def day(text) = text && Date.iso8601(text)
      end
    end
  end
end

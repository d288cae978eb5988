# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Outcome
      # What a person said of one reason for or against being sure, in place of what is proposed.
      #
      # steps :: −2 to 2; why :: the reason in words, never empty
      class Judgement < Value
        attributes :steps, :why

        LONGEST = 300
        private_constant :LONGEST

        # Raises InputError naming the field.
        def initialize(steps:, why:)
          @steps = steps
          @why = why.to_s.strip.freeze
          raise InputError, { steps: "Choose how many steps." } unless steps.is_a?(Integer) && steps.between?(-2, 2)
          raise InputError, { why: "Say why." } if @why.empty?
          raise InputError, { why: "Keep this to #{LONGEST} characters." } if @why.size > LONGEST

          freeze
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Weigh
        # Steps and a reason, as a Judgement; nil where it goes by what is proposed.
        class Judging
          def initialize(fields)
            @fields = fields
          end

          # Raises InputError naming the field.
          def call
            text = @fields.text(:steps).strip
            return if text.empty?

            steps = Integer(text, 10, exception: false)
            Appraisal::Outcome::Judgement.new(steps:, why: @fields.text(:why))
          end
        end
      end
    end
  end
end

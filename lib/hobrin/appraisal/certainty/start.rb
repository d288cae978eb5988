# frozen_string_literal: true

module Hobrin
  module Appraisal
    class Certainty
      # Where certainty begins: high for randomized trials, and for studies that follow or test
      # people where a course or a test is asked about; else low. By what more than half of the
      # weight is.
      module Start
        RANDOMIZED = %w[randomized_trial systematic_review].freeze
        SINGLE = %w[share test].freeze
        private_constant :RANDOMIZED, :SINGLE

        class << self
          # Gives [4 or 2, why].
          def of(pool)
            return [4, "Studies that follow or test people answer such a question best."] if SINGLE.include?(pool.outcome.kind)

            share = pool.weight_of { |study| strong?(study) }
            said = "#{(100 * share).round} of 100 of the weight is from randomized trials"
            share > 0.5 ? [4, "#{said}: begins high."] : [2, "#{said}: begins low."]
          end

          private

          def strong?(study)
            design = study.paper.design
            if design == "systematic_review"
              ["randomized_trial", ""].include?(study.paper.reviewed)
            else
              RANDOMIZED.include?(design)
            end
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Demo
    module Texts
      # Protocols, opinions, cases and guidelines: texts without results of a study.
      class Short < Maker
        # A protocol is of a trial or of a cohort, a report of one case or of two.
        VARIANTS = { protocol: %i[protocol protocol_cohort],
                     case_report: %i[case_report two_cases] }.freeze
        private_constant :VARIANTS

        def initialize(...)
          super
          @variant = pick(VARIANTS.fetch(@design, [@design]))
        end

        private

        def abstract
          phrase("short", @variant, n: @random.rand(6..40) * (@design == :protocol ? 10 : 1))
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Exchange
    class Report
      module Parts
        # The flow of papers, as boxes and as text.
        class Flow < Part
          def call
            steps = Brief::FlowBoxes.new(brief.flow).steps
            rows = steps.map { |step| [told(step.main), step.aside ? told(step.aside) : ""] }
            section(:flow, "Flow of papers", Pictures::Flow.of(steps),
                    grid("Flow of papers", %w[Papers Aside], rows))
          end

          private

          def told(box)
            first, *rest = box.lines
            ["#{number(box.count)} #{first}", *rest].join("; ")
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Appraisal
    module Findings
      # How far a finding of experience studies can be relied on, by the four components of CERQual
      # (Lewin et al., Implement Sci 2018;13 Suppl 1:2; from memory): begins high, goes down for each.
      # What is proposed comes from numbers that the reason names; where each begins is common
      # practice, no source.
      class Confidence < Value
        # component :: Symbol; proposed :: steps, −2 to 0; why :: a sentence; judgement ::
        #   Outcome::Judgement or nil
        class Line < Value
          attributes :component, :proposed, :why, :judgement

          def steps = judgement ? judgement.steps : proposed
        end

        attributes :lines, :level

        COMPONENTS = { method: "How the studies were made", relevance: "People and places " \
                                                                       "like ours",
                       coherence: "Whether they agree", adequacy: "Whether there is enough" }.freeze

        def word = Certainty::LEVELS.fetch(level)

        class << self
          # finding :: Finding; papers :: Array of Paper that it names; kind :: of the question, or
          #   nil
          def of(finding, papers, kind:)
            lines = Components.new(finding, papers, kind).call.map do |component, (steps, why)|
              Line.new(component:, proposed: steps, why:, judgement: finding.judgements[component])
            end
            new(lines:, level: (4 + lines.sum(&:steps)).clamp(1, 4))
          end
        end
      end
    end
  end
end

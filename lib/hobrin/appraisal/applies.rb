# frozen_string_literal: true

module Hobrin
  module Appraisal
    # Whether a paper is about people and things like ours, part by part.
    module Applies
      PARTS = { people: "People", place: "Place", intervention: "Intervention", comparison: "Comparison",
                outcome: "Outcome" }.freeze
      NEAR = { same: "same", near: "near", far: "far" }.freeze

      class << self
        # parts :: Hash of part to one of NEAR. Gives the farthest; nil when nothing is said.
        def overall(parts) = parts.values.max_by { |near| NEAR.keys.index(near) }

        # The parts of untrusted pairs that are known.
        def known(parts) = parts.select { |part, near| PARTS.key?(part) && NEAR.key?(near) }
      end
    end
  end
end

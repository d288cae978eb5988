# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Begins dual appraisal: from now on no sheet holds until two people have made it. What was
      # appraised before stays, outside of it. Going back passes this line over.
      #
      # readers :: the names of the two
      class WeighApart < Edit
        STEP = :weigh
        attributes :readers

        def call(inquiry, surroundings)
          Change.new(inquiry:, kind: :weigh_apart, brings_back: surroundings.trail.history.present,
                     facts: { readers: readers.join(" and "), papers: inquiry.papers.count(&:weighed?) })
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Begins weighing papers twice: no sheet holds until two have made it. What papers give for
      # outcomes stays.
      #
      # readers :: the names of the two
      class WeighApart < Edit
        STEP = :weigh
        attributes :readers

        def call(inquiry, _surroundings)
          papers = inquiry.papers
          weighing = inquiry.weighing.with(papers: papers.map(&:unjudged))
          Change.new(inquiry: inquiry.with(weighing:), kind: :weigh_apart,
                     facts: { readers: readers.join(" and "), papers: papers.count(&:weighed?) })
        end
      end
    end
  end
end

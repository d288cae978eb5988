# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Takes the sheet that came of two: what both judged alike, or what was settled where they
      # differ. The trail keeps all of it.
      #
      # paper :: Appraisal::Paper that holds; pair :: Appraisal::Twice::Pair; readers :: the names
      #   of the two
      class SettleSheet < WeighPaper
        attributes :paper, :pair, :readers

        def call(inquiry, surroundings)
          change = super
          change.with(kind: pair.agree? ? :weighed_twice : :sheet_settled,
                      facts: { **change.facts, readers:, differed: })
        end

        private

        # [what was judged, what the first said, what the second said, what holds] of each point.
        def differed
          pair.differing.map do |key|
            [pair.name(key),
             *[pair.first, pair.second, paper].map { |one| Appraisal::Twice::Points.words(key, one) }]
          end
        end
      end
    end
  end
end

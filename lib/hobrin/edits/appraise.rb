# frozen_string_literal: true

module Hobrin
  module Edits
    # The appraisal of one paper, by one person or two.
    module Appraise
      # Saves the sheet of one kept paper; what it gives for outcomes stays as it is.
      #
      # paper :: Appraisal::Paper
      class SaveAppraisal < Edit
        STEP = :weigh
        attributes :paper

        def about(inquiry) = inquiry.paper(paper.record_id)&.with(reported: [])

        # Raises GoneError when that paper is not among the kept ones.
        def call(inquiry, surroundings)
          raise GoneError, "paper" unless inquiry.kept_ids.include?(paper.record_id)

          title = surroundings.paper(paper.record_id).title
          reported = inquiry.paper(paper.record_id)&.reported || []
          Change.new(inquiry: inquiry.with_paper(paper.with(reported:)), kind: :paper_weighed,
                     facts: { record: paper.record_id, title: })
        end
      end

      # Begins dual appraisal: from now on no sheet holds until two people have made it. What was
      # appraised before stays, outside of it. Going back passes this line over.
      #
      # readers :: the names of the two
      class AppraiseIndependently < Edit
        STEP = :weigh
        attributes :readers

        def call(inquiry, surroundings)
          Change.new(inquiry:, kind: :weigh_apart, brings_back: surroundings.trail.history.present,
                     facts: { readers: readers.join(" and "), papers: inquiry.papers.count(&:weighed?) })
        end
      end

      # Takes the sheet that came of two: what both judged alike, or what was settled where they
      # differ. The trail keeps all of it.
      #
      # paper :: Appraisal::Paper that holds; pair :: Appraisal::DualAppraisal::Pair; readers :: the names
      #   of the two
      class ResolveAppraisal < SaveAppraisal
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
             *[pair.first, pair.second, paper].map { |sheet| Appraisal::DualAppraisal::Points.words(key, sheet) }]
          end
        end
      end
    end
  end
end

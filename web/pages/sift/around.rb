# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      class Sift
        # What stands around a paper, each with where it stands in this inquiry.
        class Around
          # A list of papers: name :: its heading; note :: a sentence beside it, or ""
          class Group < Value
            attributes :name, :note, :papers
          end

          # A paper with where it stands: in_set :: whether it is among those to read
          class Near < Value
            attributes :record, :facts, :standing, :path, :in_set, :must_find
          end

          LEADS = "A review's own references are the shortest way to single studies."
          private_constant :LEADS

          # page :: Sift
          def initialize(page, context)
            @page = page
            @reader = Services::Screen::Paper::Around.new(context, page.opened)
          end

          # record :: that the others stand around. Gives an Array of Group.
          def groups(record, review:)
            found = @reader.call(record)
            [Group.new(name: "It cites", note: review ? LEADS : "", papers: papers(found[:cites])),
             Group.new(name: "Cited by", note: "", papers: papers(found[:cited_by])),
             Group.new(name: "Like it by its words", note: "", papers: papers(found[:alike]))]
          end

          # near :: Services::Screen::Paper::Around::Near. Gives a Near.
          def near(near)
            record = near.record
            Near.new(record:, facts: facts(near), standing: standing(near.standing), path: @page.path_to_paper(record),
                     in_set: near.standing.in_set, must_find: @page.inquiry.must_find.include?(record.id))
          end

          private

          def papers(all) = all.map { |one| near(one) }

          def facts(near)
            design = Appraisal::Design.proposed(near.record)&.name || "study type not stated"
            like = near.likeness && "#{@page.hundredths(near.likeness)} of 100 alike"
            [near.record.year, design, like].compact.join(" · ")
          end

          def standing(standing)
            verdict = standing.decision && VERDICTS.fetch(standing.decision.verdict)
            reason = standing.decision&.reason
            return "in this set, #{verdict || "unread"}#{": #{reason.downcase}" if reason}" if standing.in_set
            return "not here#{", #{verdict} earlier" if verdict}" unless standing.kept_out

            "kept out by #{step(standing.kept_out)}#{", #{verdict} earlier" if verdict}"
          end

          def step(source)
            return "block #{@page.letter(source.key)}" if source.is_a?(Strategy::Block)

            Narrowing::AppliedLimit::Wording.named(source.leaf).sub(/\A./, &:downcase)
          end
        end
      end
    end
  end
end

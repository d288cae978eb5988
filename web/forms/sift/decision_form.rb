# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Sift
        # A decision on one paper, its note, or a decision taken back.
        class DecisionForm < Form
          def edit
            return Edits::Screen::Decide.new(decision:, although_retracted: although_retracted?) if decided?

            case fields.text(:verdict)
            when "none" then Edits::Screen::WithdrawDecision.new(record_id: paper)
            when "" then Edits::Screen::Annotate.new(record_id: paper, note: written(:note))
            else unknown
            end
          end

          # What holds of a paper on which two readers differ: a reason stands beside every verdict,
          # and counts for dropping alone.
          def settled
            Screening::Decision.new(record_id: paper, verdict: fields.one_of(:verdict, Screening::Decision::VERDICTS),
                                    reason:, note: fields.text(:note))
          end

          def paper = fields.text(:paper)

          # How the list is looked at.
          def view = Pages::Sift.view_of(fields)

          # The id of the paper to open next: the one that came next when the page was made, unless
          # it was decided since.
          def next_paper(context, opened)
            following = fields.some_text(:following)
            return following if following && opened.inquiry.decision(following).nil?

            Services::Screen::Read.new(context, opened, view:).following(paper)
          end

          # Whether the paper was decided, so that the next one may open: a note alone, or a
          # decision taken back, leaves it.
          def decided? = reason || verdict

          private

          def decision
            note = fields.text(:note)
            Screening::Decision.new(record_id: paper, verdict: reason ? :drop : verdict, reason:,
                                    note:)
          end

          def verdict
            although_retracted? ? :keep : fields.one_of(:verdict, Screening::Decision::VERDICTS)
          end

          def although_retracted? = fields.text(:although_retracted) == "yes"

          def reason = Screening::Decision::Reasons.all.find { |known| known == fields.text(:reason) }
        end
      end
    end
  end
end

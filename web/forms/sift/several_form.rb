# frozen_string_literal: true

module Hobrin
  module Web
    module Forms
      module Sift
        # Several papers decided in one way: those that were chosen, or all of a part of the list.
        class SeveralForm < Form
          CHANGED = "The list has %<now>d papers now, it had %<then>d. Look again, then press once more."
          private_constant :CHANGED

          # The block gives the ids of the whole part as it is now.
          # Raises InputError (:several) when the part is not what the person saw.
          def edit_of
            whole = fields.number(:whole)
            unknown unless whole.nil? || whole.is_a?(Integer)
            ids = whole ? yield : fields.list(:papers)
            raise InputError, { several: format(CHANGED, now: ids.size, then: whole) } if whole && ids.size != whole

            Edits::Screen::DecideSeveral.new(record_ids: ids, verdict:, reason:, note: "")
          end

          # How the list is looked at.
          def view = Pages::Sift.view_of(fields)

          def after(outcome)
            number = outcome.change.facts[:papers]
            said = "#{number} #{number == 1 ? "paper" : "papers"} decided. Undo takes all of them back." if number
            After.new(list: view.to_query, said:)
          end

          private

          def reason = Screening::Decision::Reasons.all.find { |known| known == fields.text(:reason) }

          def verdict
            reason ? :drop : fields.one_of(:verdict, Screening::Decision::VERDICTS) || unknown
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Screen
        # Sift: one paper open, one decision at a time or several at once; what stands around a paper,
        # its full text, and citations followed.
        module Routes
          extend Routing

          get("/inquiries/:id/sift", needs: :reads) { show :sift }
          post("/inquiries/:id/threads", needs: :works) { change :sift, ThreadsForm }

          post("/inquiries/:id/decisions", needs: :second) do
            following = lambda do |form, outcome|
              Form::After.new(paper: form.decided? ? form.next_paper(context, outcome.opened) : form.paper,
                              list: form.view.to_query)
            end
            change(:sift, DecisionForm, after: following) { |form| decide(form.edit) }
          end

          post("/inquiries/:id/several", needs: :second) do
            change(:sift, SeveralForm) do |form|
              decide(form.edit_of do
                opened = Services::Inquiries::Read.new(context).call(inquiry_id)
                opened = Services::Screen::DualScreening.new(context, inquiry_id).as_read(opened)
                Services::Screen::Read.new(context, opened, view: form.view).ids
              end)
            end
          end

          # Papers that came with an archive, into the library.
          post("/inquiries/:id/records", needs: :library) do
            Services::Inquiries::Copy.new(context).add_to_library(inquiry_id)
            leave_for "/inquiries/#{inquiry_id}/sift"
          end

          # What is kept with a paper changes no inquiry: nothing of it is in the trail.
          post("/inquiries/:id/full-text", needs: :works) do
            beside_the_inquiry do
              keeping = Services::Screen::FullText.new(context)
              file = params["file"]
              next keeping.remove(fields.text(:paper), inquiry_id) if fields.text(:do) == "remove"

              keeping.call(fields.text(:paper), inquiry_id, file.is_a?(Hash) ? file[:tempfile]&.path : nil)
            end
          end

          post("/inquiries/:id/resolver", needs: :library) do
            beside_the_inquiry { Services::ChangeHouse.new(context).resolver(fields.text(:resolver)) }
          end

          get("/inquiries/:id/full-text", needs: :reads) do
            headers "X-Content-Type-Options" => "nosniff"
            download Services::Screen::FullText.new(context).read(fields.text(:paper))
          end

          get("/inquiries/:id/list.:format", needs: :reads) do
            opened = Services::Inquiries::Read.new(context).call(inquiry_id)
            view = Page.view_of(fields)
            download Services::Screen::ExportList.new(context, opened, view:).call(params["format"])
          end

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
            def view = Page.view_of(fields)

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

          # Several papers decided in one way: those that were chosen, or all of a part of the list.
          class SeveralForm < Form
            # The block gives the ids of the whole part as it is now.
            # Raises InputError (:several) when the part is not what the person saw.
            def edit_of
              whole = fields.number(:whole)
              unknown unless whole.nil? || whole.is_a?(Integer)
              ids = whole ? yield : fields.list(:papers)
              raise InputError, { several: Book.t("screen.several.changed", now: ids.size, before: whole) } if whole && ids.size != whole

              Edits::Screen::DecideSeveral.new(record_ids: ids, verdict:, reason:, note: "")
            end

            # How the list is looked at.
            def view = Page.view_of(fields)

            def after(outcome)
              number = outcome.change.facts[:papers]
              said = Book.t("screen.several.decided", count: number) if number
              Form::After.new(list: view.to_query, said:)
            end

            private

            def reason = Screening::Decision::Reasons.all.find { |known| known == fields.text(:reason) }

            def verdict
              reason ? :drop : fields.one_of(:verdict, Screening::Decision::VERDICTS) || unknown
            end
          end

          # One more round of following citations.
          class ThreadsForm < Form
            def edit = Edits::Screen::SearchCitations.new

            def after(outcome)
              found = outcome.change.facts[:found]
              Form::After.new(list: { **Page.view_of(fields).to_query, "show" => "threads" },
                              said: found && Book.t("screen.citations.found", count: found))
            end
          end
        end
      end
    end
  end
end

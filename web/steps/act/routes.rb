# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Act
        # Act: the brief, its words, what speaks for and against, the steps of a change, what is
        # measured, signing and sharing, and all of it as files.
        module Routes
          extend Routing

          get("/inquiries/:id/act", needs: :reads) { show :act }
          post("/inquiries/:id/act", needs: :works) { change :act, BriefForm }
          post("/inquiries/:id/deliberation", needs: :works) { change :act, DeliberationForm }
          post("/inquiries/:id/measures", needs: :works) { change :act, MeasureForm }

          post("/inquiries/:id/steps", needs: :works) { change :act, StepsForm }

          post("/inquiries/:id/signatures", needs: :works) do
            change(:act, SignForm) do |form|
              Services::Act::SignBrief.new(context, seen:).call(inquiry_id, person_here&.name || form.signer, reason: form.reason)
            end
          end

          post("/inquiries/:id/address", needs: :owns) do
            shares = Services::Act::ShareBrief.new(context)
            fields.text(:do) == "take_back" ? shares.take_back(inquiry_id) : shares.open(inquiry_id, days: fields.number(:days))
            leave_for "/inquiries/#{inquiry_id}/act?show=versions"
          end

          get("/shared/:token", needs: :open) { show_shared(params["token"]) }

          get("/inquiries/:id/files/:name", needs: :reads) do
            opened = Services::Inquiries::Read.new(context).call(inquiry_id)
            share = Services::Act::ShareBrief.new(context).share(inquiry_id)
            files = Services::Act::MakeFile.new(context, style: fields.text(:style), address: share && shared_address(share))
            give files.call(opened, *params["name"].partition(".").values_at(0, 2))
          end

          get("/inquiries/:id/versions/:name", needs: :reads) do
            opened = Services::Inquiries::Read.new(context).call(inquiry_id)
            number, _, ending = params["name"].partition(".")
            report = Services::Act::Versions.new(context).report(opened, number.to_i)
            download Services::Act::Export.new(context).written(report, inquiry_id, "brief", ending)
          end

          get("/inquiries/:id/archive.json", needs: :reads) do
            download Services::Archives.new(context).write(inquiry_id, situation: fields.checked?(:situation))
          end
          get("/inquiries/:id/evidence.:format", needs: :reads) do
            download Services::Act::ExportEvidence.new(context).call(inquiry_id, params["format"])
          end

          # The conclusion and the change plan.
          class BriefForm < Form
            def edit
              plan = Brief::ActionPlan::PROMPTS.keys.to_h { |name| [name, fields.text(name)] }
              Edits::Practice::WriteBrief.new(conclusion: fields.some_text(:proposed) || written(:conclusion), plan:)
            end

            def after(_outcome) = Form::After.new(step: fields.one_of(:next, Inquiry::STEPS))
          end

          # What speaks for and against a change, and what is decided.
          class DeliberationForm < Form
            def edit = Edits::Practice::Decide.new(considerations:, decision: fields.text(:decision))

            def after(_outcome)
              step = fields.one_of(:next, Inquiry::STEPS)
              step && step != :act ? Form::After.new(step:) : Form::After.new(list: { "show" => "decision" })
            end

            private

            def considerations
              Brief::Acting::Consideration::ALL.keys.to_h do |key|
                mark = fields.nested(:marks).some_text(key)
                number = mark && (Integer(mark, 10, exception: false) || :none)
                [key, Brief::Acting::Consideration.new(mark: number, line: fields.nested(:lines).text(key))]
              end
            end
          end

          # Something to be counted: what it is, and its numbers as pasted.
          class MeasureForm < Form
            DEEDS = %i[write drop].freeze
            private_constant :DEEDS

            def edit
              case fields.one_of(:do, DEEDS)
              when :write then Edits::Practice::WriteMeasure.new(
                measure_id: (measure if fields.some_text(:measure)), given:
              )
              when :drop then Edits::Practice::RemoveMeasure.new(measure_id: measure)
              else unknown
              end
            end

            def after(outcome)
              return Form::After.new(list: { "show" => "measures" }) if fields.text(:do) == "drop"

              written = fields.some_text(:measure) || outcome.opened.inquiry.acting.measures.last.id.to_s
              Form::After.new(list: { "show" => "measures", "measure" => written })
            end

            private

            def measure = id(:measure, of: "measure")

            def given
              way = fields.text(:way).to_sym
              texts = %i[name sort counted of].to_h { |name| [name, fields.text(name)] }
              { **texts, way:, better:, target:, started:, points: Brief::Measure::Pasted.read(fields.text(:numbers), way) }
            end

            def better
              fields.one_of(:better, Brief::Measure::BETTER.keys) or
                raise InputError, { better: Book.t("act.measures.choose_aim") }
            end

            # Of a share in people of 100.
            def target
              text = fields.some_text(:target) or return
              Appraisal::Reported::Figures::Typed.number(text) || raise(InputError,
                                                                        { target: Book.t("act.page.number_example") })
            end

            def started
              text = fields.some_text(:started) or return
              Date.iso8601(text)
            rescue Date::Error
              raise InputError, { started: Book.t("act.page.day_example") }
            end
          end

          # Who signs the brief off, and why although something is open. The service does it, since it
          # keeps the brief as it was.
          class SignForm < Form
            def signer = fields.text(:signer)
            def reason = written(:reason)
            def after(_outcome) = Form::After.new(said: Book.t("act.page.signed_off"), list: { "show" => "versions" })
          end

          # What a change needs, its steps by their rows, and its cycles. A row without words is none.
          class StepsForm < Form
            DAY = Book.t("act.page.day_example")
            private_constant :DAY

            def edit
              needs = Brief::ActionPlan::MORE.keys.to_h { |name| [name, fields.text(name)] }
              Edits::Practice::PlanSteps.new(needs:, steps:, cycles:)
            end

            def after(_outcome)
              step = fields.one_of(:next, Inquiry::STEPS)
              step && step != :act ? Form::After.new(step:) : Form::After.new(list: { "show" => "steps" })
            end

            private

            def steps
              rows(:step, %i[on who what]).map do |row, place|
                done = fields.nested(:step_done).text(place) == "1"
                Brief::ActionPlan::Step.new(on: day(row[:on]), who: row[:who], what: row[:what], done:)
              end
            end

            def cycles
              rows(:cycle, Brief::ActionPlan::PdsaCycle::NAMES.keys).map { |row, _| Brief::ActionPlan::PdsaCycle.new(**row) }
            end

            # [Hash of name to text, place] of each row that says anything. Rows are sent as
            # step_on[0], step_who[0] …
            def rows(kind, names)
              most = kind == :step ? Brief::ActionPlan::Step::MOST : Brief::ActionPlan::PdsaCycle::MOST
              (0..most).filter_map do |place|
                row = names.to_h { |name| [name, fields.nested(:"#{kind}_#{name}").text(place.to_s)] }
                [row, place.to_s] if row.values.any? { |text| !text.strip.empty? }
              end
            end

            def day(text)
              Date.iso8601(text.strip) unless text.strip.empty?
            rescue Date::Error
              raise InputError, { steps: DAY }
            end
          end
        end
      end
    end
  end
end

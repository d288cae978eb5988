# frozen_string_literal: true

module Hobrin
  module Web
    module Steps
      module Narrow
        # What the forms of Narrow send, and the edits they make.
        module Forms
          # A limit that is put on, by its name and values; or all of them switched off.
          class LimitForm < Form
            def edit
              return Edits::Limits::SwitchAllOff.new if fields.text(:all) == "off"

              case fields.one_of(:limit, [*Narrowing::Previews::ALL, :filter])
              when :journal
                names = [*fields.list(:values), *fields.some_text(:journal)]
                Edits::Limits::ApplyJournals.new(names:)
              when :filter then Edits::Limits::ApplyFilter.new(label: fields.text(:filter))
              else Edits::Limits::Apply.new(leaf:)
              end
            end

            private

            def leaf
              case name = fields.one_of(:limit, Narrowing::Previews::ALL)
              when :dates
                from_year, to_year = fields.number(:from_year), fields.number(:to_year)
                Strategy::Dates.years(from_year:, to_year:)
              when :added
                from = fields.text(:since).strip
                InputError.at(:since) { Strategy::Dates.new(name: :added, from:) }
              when nil then raise InputError, { limit: Book.t("narrow.limits.unknown") }
              else Strategy::Limit.new(name:, values: fields.list(:values))
              end
            end
          end

          # What a press on a limit of the cascade does to it.
          class StepForm < Form
            def edit
              slot = fields.text(:name)
              case fields.text(:do)
              when "remove" then Edits::Limits::Remove.new(slot:)
              when "switch" then Edits::Limits::Switch.new(slot:)
              when "up" then Edits::Limits::MoveUp.new(slot:)
              else unknown
              end
            end
          end

          # One of the usual aims, or the two numbers that were typed.
          class TargetForm < Form
            def edit
              usual = Narrowing::Target::USUAL[fields.one_of(:usual, Narrowing::Target::USUAL.keys)]
              from, to = usual || [fields.number(:aim_from), fields.number(:aim_to)]
              Edits::Limits::SetTarget.new(aim: Narrowing::Target.new(from:, to:))
            end
          end

          # A what-if that is tried, or several one after the other, or one that is dismissed; each by
          # its name.
          class WhatIfForm < Form
            MOST = 3
            private_constant :MOST

            def edit
              dismissed = fields.some_text(:dismiss)
              return Edits::WhatIfs::Dismiss.new(name: dismissed) if dismissed

              names = fields.list(:try).first(MOST)
              names.empty? ? unknown : Edits::WhatIfs::Apply.new(names:)
            end
          end

          # What forms about single papers have in common: they stand on several pages, and what is
          # open there stays.
          class PaperForm < Form
            # What stays open after a change, by its parameter.
            OPEN = %w[opened order what_if open line with].freeze
            private_constant :OPEN

            # The page that the form was on, or Sift with its paper.
            def after(_outcome)
              return on_sift if fields.some_text(:reading) || fields.text(:show) == "threads"

              Form::After.new(stay: OPEN.to_h { |name| [name, fields.text(name)] })
            end

            private

            def on_sift
              list = { **Screen::Page.view_of(fields).to_query,
                "show" => fields.some_text(:show) }.compact
              Form::After.new(step: :sift, paper: fields.some_text(:reading), list:)
            end
          end

          # A paper that the search is to find, or need not any more.
          class MustFindForm < PaperForm
            def self.step(fields) = fields.one_of(:from, %i[word trail]) || :narrow

            def edit
              removed = fields.some_text(:remove)
              return Edits::Papers::RemoveMustFind.new(record_id: removed) if removed

              Edits::Papers::AddMustFind.new(typed: fields.text(:known))
            end

            def after(outcome)
              super.then { |after| after.step ? after : after.with(step: self.class.step(fields)) }
            end
          end

          # A paper let in by hand, or no longer.
          class InclusionForm < PaperForm
            def self.step(fields)
              :sift if fields.some_text(:reading) || fields.text(:show) == "threads"
            end

            def edit
              released = fields.some_text(:take_back)
              return Edits::Papers::RemoveManually.new(record_id: released) if released

              Edits::Papers::IncludeManually.new(record_id: fields.text(:paper))
            end
          end

          # A finding of the check that is mended, by its name.
          class FindingForm < Form
            def edit = Edits::SearchCheck::MendFinding.new(name: fields.text(:finding))
            def after(_outcome) = Form::After.new(stay: { "show" => "check" })
          end

          # A colleague's review of the search, question by question.
          class ReviewForm < Form
            # service :: Services::Narrow::ReviewSearch. Gives an ApplyEdit::Outcome.
            def call(service, id)
              remarks = Narrowing::PeerReview::QUESTIONS.keys.to_h { |key| [key, fields.nested(:remarks).text(key)] }
              service.call(id, name: fields.text(:reviewer), verdict: fields.text(:verdict), remarks:)
            end

            def after(_outcome) = Form::After.new(said: Book.t("narrow.reviews.saved"), stay: { "show" => "check" })
          end

          # The card of study filters: one put on, one of our own put on, written or forgotten.
          class FilterForm < Form
            # service :: Services::Narrow::ChangeFilter; id :: of the inquiry. Gives an ApplyEdit::Outcome.
            def call(service, id)
              if fields.some_text(:put) then service.published(id, fields.text(:put))
              elsif fields.some_text(:put_own) then service.kept(id, fields.text(:put_own))
              elsif fields.some_text(:forget) then service.forget(id, fields.text(:forget))
              else service.write(id, fields.text(:title), fields.text(:terms),
                                 replace: fields.checked?(:replace))
              end
            end

            def after(_outcome)
              Form::After.new(stay: { "show" => "filters", "kind" => fields.text(:kind) })
            end
          end

          # A search in another catalogue: asked as it is shown or as a person changed it, asked
          # again, brought in, or looked at in another catalogue.
          class ElsewhereForm < Form
            include Form::AskedAgain

            # asking :: Services::Narrow::OtherCatalogues::Ask. Gives an ApplyEdit::Outcome.
            def call(asking, id)
              case fields.one_of(:do, %i[ask again bring])
              when :ask then asking.ask(id, source, texts, crossed_out: fields.checked?(:crossed_out))
              when :again then ask_again(asking, id)
              when :bring then asking.bring(id, source, fields.number(:most))
              else unknown
              end
            end

            def after(_outcome)
              kept = { "crossed_out" => fields.some_text(:crossed_out) }.compact
              Form::After.new(list: { "show" => "elsewhere", "source" => fields.text(:source), **kept }, said: @said)
            end

            # The texts that were typed: Hash of the number of a line to its text.
            def texts
              typed = fields.nested(:there)
              typed.names.grep(/\A\d{1,4}\z/).to_h do |number|
                [number.to_i, typed.text(number).strip]
              end
            end

            private

            def source = id(:source, of: "catalogue")
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Web
    module Helpers
      # How routes answer: whole pages, parts for htmx, and what happens after a change.
      module Rendering
        PAGES = [Steps::Ask::Page, Steps::Terms::Page, Steps::Narrow::Page, Steps::Screen::Page, Steps::Appraise::Page,
                 Steps::Act::Page, Steps::Trail::Page].to_h { |page| [page::KEY, page] }.freeze
        HTMX = JSON.generate(
          includeIndicatorStyles: false, allowEval: false, selfRequestsOnly: true, historyCacheSize: 0,
          defaultSettleDelay: 0, scrollIntoViewOnBoost: false,
          responseHandling: [{ code: "(204)", swap: false }, { code: "(403|404|413|5..)", swap: false, error: true },
                             { code: "...", swap: true }]
        ).freeze
        # The folders of those steps that are named otherwise in addresses.
        VIEWS = { word: "terms", sift: "screen", weigh: "appraise" }.freeze
        private_constant :PAGES, :HTMX, :VIEWS

        def fields = @fields ||= Fields.new(params)
        def htmx? = request.env["HTTP_HX_REQUEST"] == "true"

        # The inquiry's id from the address. Raises GoneError when it is no number.
        def inquiry_id = id_of("inquiry")

        # An id from the address. what :: a noun. Raises GoneError when it is no number.
        def id_of(what, text = params["id"])
          id = Integer(text, 10, exception: false)
          raise GoneError, what unless id&.between?(1, 2**53)

          id
        end

        # The version that the person looked at when they made a change, or nil.
        def seen = fields.number(:seen).then { |number| number.is_a?(Integer) ? number : nil }

        # Shows a step of an inquiry.
        #
        # opened :: Services::Inquiries::Open, when it is there already; errors :: Hash of field to message
        # notice :: what is to be said above the page; options :: what else its page takes
        def show(step, opened: nil, errors: {}, notice: nil, **options)
          opened ||= Services::Inquiries::Read.new(context).call(inquiry_id)
          opened = Services::Screen::DualScreening.new(context, opened.id).as_read(opened) if step == :sift
          Visits.new(session).remember(opened.id, step)
          @may = Services::Permit.new(context).ability(opened.id)
          @looks_only = @may == :reads || (@may == :second && step != :sift)
          @page = PAGES.fetch(step).new(context:, opened:, fields:, errors:, notice:, **options)
          # The content first: the frame says at the top what no field of the content could show.
          notes_open = Services::Notes.new(context, opened.id).open if person_here
          content = draw(:"#{VIEWS.fetch(step, step)}/page", page: @page)
          framed = draw(:"layout/inquiry", page: @page, content:, notes_open:, untold: untold(content))
          whole(framed, title: @page.title, said: @page.said)
        end

        # Makes the change that a form asks for, then shows the step, or goes to its address when the
        # page was not asked for in part. What a person can mend is shown beside its field, with what
        # they typed.
        #
        # form_class :: a subclass of Form. The block makes the change in another way than by the form's edit; it gives an
        # ApplyEdit::Outcome. `after` gives a Web::Form::After from form and outcome, instead of the
        # form's own.
        def change(step, form_class, after: nil)
          Lengths.check(params)
          form = form_class.new(fields)
          outcome = block_given? ? yield(form) : apply(form.edit)
          follow(step, outcome, after ? after.call(form, outcome) : form.after(outcome))
        rescue InputError => e
          answer_refused
          show(form_class.step(fields) || step, errors: e.errors)
        rescue ConflictError => e
          answer_refused 409
          show(form_class.step(fields) || step, errors: { conflict: e.message })
        rescue UnavailableError => e
          # Reading still works, so the page comes back with what was typed in it.
          status 503
          if htmx?
            fail_with(Book.t("common.errors.not_now"),
                      e.message)
          else
            show(form_class.step(fields) || step, errors: { press: e.message })
          end
        end

        # Makes a change of what is kept with papers, beside the inquiry, then shows the paper again:
        # its full text and how to cite it.
        def beside_the_inquiry
          Lengths.check(params)
          yield
          kept = { **Steps::Screen::Page.view_of(fields).to_query, "show" => "full" }
          query = { **kept, "paper" => fields.text(:paper) }
          return redirect(to("/inquiries/#{inquiry_id}/sift?#{Rack::Utils.build_query(query)}"), 303) unless htmx?

          @fields = Fields.new(kept)
          show(:sift, paper: query["paper"])
        rescue InputError => e
          answer_refused
          show(:sift, errors: e.errors)
        end

        # The same for decisions on papers, which may be read twice.
        def decide(edit)
          twice = Services::Screen::DualScreening.new(context, inquiry_id)
          twice.apart? ? twice.apply(edit) : apply(edit)
        end

        # And for sheets, which may be weighed twice.
        def weigh(form)
          edit = form.edit
          twice = Services::Appraise::DualAppraisal.new(context, inquiry_id)
          twice.apart_at?(edit.paper.record_id) ? twice.apply(edit, done: form.done?) : apply(edit)
        end

        def weigh_apart(form)
          Services::Appraise::DualAppraisal.new(context, inquiry_id).apply(form.edit, done: form.done?)
        end

        def apply(edit) = Services::ApplyEdit.new(context, seen:).call(inquiry_id, edit)

        # A failure as a page of its own; for htmx as plain words, so that the page and what was typed
        # in it stay.
        def fail_with(title, message)
          return show_alone(:"layout/failure", title:, said: message, message:) unless htmx?

          trigger = JSON.generate({ trouble: message }, ascii_only: true)
          headers "HX-Reswap" => "none", "HX-Trigger" => trigger
          content_type :text
          message
        end

        # Says that something was not done, and that a person can mend it. htmx is told in a header: any
        # status but success would be an error in the browser's console.
        def answer_refused(code = 422)
          htmx? ? headers("Hobrin-Refused" => "true") : status(code)
        end

        # Goes to another page as a whole.
        def leave_for(address)
          redirect to(address), 303 unless htmx?

          headers "HX-Redirect" => address
          ""
        end

        # A part of a page, from its file in a folder of the views: "terms/term" is terms/_term.erb.
        def part(name, **locals)
          Deadline.check
          draw(:"#{name.sub("/", "/_")}", **locals)
        end

        # A template as it stands, with nothing but its locals: all that it shows was read before.
        def draw(template, **locals) = erb(template, layout: false, locals:)

        def asset(name) = Assets.path(name)
        def first_fonts = Assets.first_fonts

        # What htmx is told at the start: nothing of it needs scripts or styles in the page.
        def htmx_settings = HTMX

        private

        # The messages that no field of a page has shown: nothing is refused in silence. content :: the page as drawn
        def untold(content) = @page.errors.values.reject { |message| content.include?(h(message)) }

        # Shows where a change leads.
        def follow(step, outcome, after)
          shown = after.step || step
          query = Rack::Utils.build_query(after.query)
          address = "/inquiries/#{inquiry_id}/#{shown}#{"?#{query}" unless query.empty?}"
          return redirect(to(address), 303) unless htmx?

          notice = [after.said, changed_elsewhere(outcome)].compact.join(" ")
          @fields = Fields.new(after.stay.merge(after.list))
          headers "HX-Push-Url" => address
          show(shown, opened: outcome.opened, notice:, **{ paper: after.paper }.compact)
        end

        # The changes of another window that stand beside the one just made, nil for none.
        def changed_elsewhere(outcome)
          return if seen.nil? || seen >= outcome.opened.version - (outcome.line ? 1 : 0)

          lines = Services::Inquiries::Read.new(context).elsewhere(inquiry_id, seen, own: outcome.line)
          Book.t("common.errors.changed_elsewhere", changes: lines.map(&:change).join("; ")) unless lines.empty?
        end

        # For htmx only the page's inside; the part that is swapped and what is read out.
        def whole(content, title:, said:)
          inside = draw(:"layout/part", content:, title:, said:)
          htmx? ? inside : draw(:"layout/document", inside:, title:)
        end
      end
    end
  end
end

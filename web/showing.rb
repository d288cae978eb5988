# frozen_string_literal: true

module Hobrin
  module Web
    # How routes answer: whole pages, parts for htmx, and what happens after a change.
    module Showing
      PAGES = { ask: Pages::Ask, word: Pages::Word, narrow: Pages::Narrow, sift: Pages::Sift, weigh: Pages::Weigh,
                act: Pages::Act, trail: Pages::Trail }.freeze
      private_constant :PAGES

      def context = @context ||= settings.context.pinned
      def fields = @fields ||= Fields.new(params)
      def htmx? = request.env["HTTP_HX_REQUEST"] == "true"
      def csrf_token = @csrf_token ||= Rack::Protection::AuthenticityToken.token(session)

      # The inquiry's id from the address. Raises GoneError when it is no number.
      def inquiry_id
        id = Integer(params["id"], 10, exception: false)
        raise GoneError, "inquiry" unless id&.between?(1, 2**53)

        id
      end

      # Shows a step. errors :: Hash of field to message; options :: what else its page takes
      # looked_at :: the version that a change was made on; said :: what was done, in words
      def show(step, errors: {}, looked_at: nil, said: nil, **options)
        standing = Services::ReadInquiry.new(context).call(inquiry_id, step: (step if Inquiry::STEPS.include?(step)))
        @page = PAGES.fetch(step).new(context:, standing:, fields:, errors:, **options)
        @page.notice = [said, changed_elsewhere(looked_at, standing.saved.version)].compact.join(" ")
        @said = [@page.notice, @page.said].join(" ").strip
        whole(erb(step, layout: :inquiry), title: @page.title)
      end

      # Runs a change, then shows the step, or goes to its address when the page was not asked for in part.
      # The block may give a Hash: next :: another step to show; paper :: the record to open there;
      # said :: what was done, in words; stay :: parameters that the page keeps, such as what is open on it.
      # What a person can mend is shown beside its field, with what they typed.
      def change(step)
        after = yield.then { |outcome| outcome.is_a?(Hash) ? outcome.compact : {} }
        shown = after.fetch(:next, step)
        query = after[:paper] && "?paper=#{Rack::Utils.escape(after[:paper])}"
        address = "/inquiries/#{inquiry_id}/#{shown}#{query}"
        return redirect(to(address), 303) unless htmx?

        looked_at = seen
        @fields = Fields.new(after.fetch(:stay, {}))
        headers "HX-Push-Url" => address
        show(shown, looked_at:, **after.slice(:paper, :said))
      rescue InputError => e
        status 422
        show(step, errors: e.errors)
      rescue ConflictError => e
        status 409
        show(step, errors: { conflict: e.message })
      end

      # The changes of another window that stand beside the one just made, nil for none.
      def changed_elsewhere(looked_at, version)
        return unless looked_at && looked_at < version - 1

        lines = Services::ReadInquiry.new(context).elsewhere(inquiry_id, looked_at, version)
        "Also changed in another window: #{lines.map(&:change).join("; ")}." unless lines.empty?
      end

      # A page that belongs to no inquiry.
      def show_alone(view, title:, **locals)
        @said = locals[:message]
        whole(erb(view, layout: false, locals: { title:, **locals }), title:)
      end

      # A failure as a page of its own; for htmx as plain words, so that the page and what was typed in it stay.
      def fail_with(title, message)
        return show_alone(:failure, title:, message:) unless htmx?

        headers "HX-Reswap" => "none", "HX-Trigger" => JSON.generate({ trouble: message }, ascii_only: true)
        content_type :text
        message
      end

      def show_home(question: "")
        show_alone :home, title: "Inquiries", overview: Services::ListInquiries.new(context).call, question:
      end

      # Answers with a file to save. file :: anything with name, type and body
      def download(file)
        content_type file.type, charset: "utf-8"
        attachment file.name
        file.body
      end

      # Goes to another page as a whole.
      def leave_for(address)
        redirect to(address), 303 unless htmx?

        headers "HX-Redirect" => address
        ""
      end

      # For htmx only the page's inside; the part that is swapped and what is read out.
      def whole(content, title:)
        erb(htmx? ? :part : :document, layout: false, locals: { content:, title: })
      end

      # The attributes of a form that changes something: works with and without htmx.
      def sends(path) = %(method="post" action="#{h path}" hx-post="#{h path}")

      # What every form carries: the token, and which version of the inquiry its page shows.
      def csrf
        token = %(<input type="hidden" name="authenticity_token" value="#{csrf_token}">)
        @page ? %(#{token}<input type="hidden" name="seen" value="#{@page.version}">) : token
      end

      # The version that the person looked at when they made a change.
      def seen = fields.number(:seen).then { |number| number.is_a?(Integer) ? number : nil }

      # The message beside a field, with the id that the field names in aria-describedby.
      def problem(name, id = name)
        message = @page ? @page.errors[name.to_sym] : @errors&.[](name.to_sym)
        message && %(<p class="problem" id="problem-#{h id}">#{h message}</p>)
      end

      # The attributes of a field that has a message.
      def troubled(name, id = name)
        errors = @page ? @page.errors : @errors.to_h
        errors[name.to_sym] ? %(aria-invalid="true" aria-describedby="problem-#{h id}") : ""
      end

      def h(text) = Rack::Utils.escape_html(text.to_s)
    end
  end
end

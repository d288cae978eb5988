# frozen_string_literal: true

module Hobrin
  module Web
    module People
      # Pages of people, and what is done on them.
      module Helpers
        # Who signed in, or nil where nobody does.
        def person_here = context.user.person

        # Whether it is known who asks, or nobody has to sign in.
        def known_here? = !person_here.nil? || !env.dig(SigningIn::SHARED, :required)

        # Whether nobody may do anything here unless they signed in.
        def signing_in_required? = env.dig(SigningIn::SHARED, :required) == true

        # Whether one may become one of the made-up people.
        def made_up_people? = env.dig(SigningIn::SHARED, :demo)

        # A way to write to the others about a part of the inquiry; nothing where nobody signs in.
        def note_link(kind, key, words: Book.t("people.page.note_to_others"), looks: "btn btn-quiet")
          return "" unless person_here

          query = Rack::Utils.build_query("kind" => kind, "key" => key)
          tag("a", h(words), class: looks, href: "#{@page.path(:notes)}?#{query}")
        end

        def sample_here? = context.snapshot.sample?

        # A form that is sent as a whole page: what it leads to is another address.
        def plain_form(path, **attributes)
          around("form", method: "post", action: path, **attributes) do
            @_out_buf << csrf
            yield
          end
        end

        # errors :: Hash of field to message; invited :: the address for somebody who was just asked
        # said :: what is to be told on the page
        def show_people(errors: {}, invited: nil, said: nil)
          @page = Pages::Everybody.new(context:, errors:, invited:, said:)
          show_alone :"people/everybody", title: Book.t("people.page.people")
        end

        # Asks somebody to join, by what was sent. Gives the secret part of the address.
        def invite
          ward = fields.number(:ward)
          Services::Accounts::Invite.new(context).call(
            name: fields.text(:name), ward_id: ward.is_a?(Integer) ? ward : nil, runs: fields.checked?(:runs),
            role: fields.one_of(:role, Hobrin::People::Person::ROLES.keys) || :member
          )
        end

        def show_invitation(errors: {})
          invitation = Services::Accounts::Invite.new(context).read(params["token"])
          @page = Pages::Invitation.new(invitation:, errors:, fields:)
          show_alone :"people/invitation", title: Book.t("people.page.invited")
        end

        # Removes a text from an inquiry for good. Gives what came of it, in words.
        def forget_in(id)
          count = Services::Inquiries::ForgetText.new(context).call(id, fields.text(:forget))
          Book.t("people.forget.deleted", count:)
        end

        def show_standing(errors: {}, said: nil)
          @page = Sharing.new(context:, id: inquiry_id, errors:, said:)
          show_alone :"people/sharing", title: Book.t("people.page.access")
        end

        # Raises GoneError where papers are not read twice.
        def show_differences(errors: {})
          raise GoneError, "page" unless Services::Screen::DualScreening.new(context, inquiry_id).on?

          @page = Dual::Differences.new(context:, id: inquiry_id, errors:)
          show_alone :"people/differences", title: Book.t("people.page.screening")
        end

        # Raises GoneError where papers are not weighed twice.
        def show_sheets(errors: {})
          raise GoneError, "page" unless Services::Appraise::DualAppraisal.new(context, inquiry_id).on?

          @page = Dual::Sheets.new(context:, id: inquiry_id, errors:)
          show_alone :"people/sheets", title: Book.t("people.page.appraisal")
        end

        # Says what holds of a paper that two weighed otherwise, by what was sent.
        def settle_sheet
          points = fields.nested(:points)
          taken = points.names.to_h { |key| [key, points.one_of(key, %i[first second])] }
          Services::Appraise::DualAppraisal.new(context, inquiry_id).settle(fields.text(:paper), taken:,
                                                                                                 finding: fields.text(:finding).strip)
        end

        # What two people do apart, by the step that was sent.
        def apart_at_step
          service = fields.text(:step) == "weigh" ? Services::Appraise::DualAppraisal : Services::Screen::DualScreening
          service.new(context, inquiry_id)
        end

        def show_notes(errors: {})
          @page = Sharing::Notes.new(context:, id: inquiry_id, fields:, errors:)
          show_alone :"people/notes", title: Book.t("people.page.notes")
        end

        # talk :: Services::Notes. Raises GoneError, InputError (:text).
        def write_note(talk)
          case fields.one_of(:do, %i[answer settle open])
          when :answer then talk.answer(fields.number(:note), fields.text(:text))
          when :settle then talk.settle(fields.number(:note))
          when :open then talk.settle(fields.number(:note), open: true)
          else talk.write(fields.text(:kind), fields.text(:key), fields.text(:text))
          end
        end

        def changing_people
          yield Services::Accounts::Change.new(context)
          leave_for "/people"
        rescue InputError => e
          answer_refused
          show_people(errors: e.errors)
        end

        # The id of a person from the address. Raises GoneError.
        def person_id = id_of("person")

        def change_person(change, id)
          case fields.one_of(:do, %i[run leave close open put])
          when :run then change.let_run(id, true)
          when :leave then change.let_run(id, false)
          when :close then change.close(id)
          when :open then change.open(id)
          when :put then change.put(id, fields.number(:ward), fields.one_of(:role, Hobrin::People::Person::ROLES.keys))
          end
        end
      end
    end
  end
end

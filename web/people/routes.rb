# frozen_string_literal: true

module Hobrin
  module Web
    module People
      # Who works here: signing in, one's own account, people and wards, invitations.
      module Routes
        extend Routing

        # Asked for from within alone, see SigningIn::Requests.
        get("/sign-in/page", needs: :open) do
          @page = env[SigningIn::PAGE] or not_found
          show_alone :"people/#{@page.view}", title: @page.title, said: @page.said
        end

        get("/account", needs: :signed_in) do
          not_found unless person_here
          @page = Pages::Account.new(context:, notice: env["hobrin.notice"],
                                     session: env[SigningIn::SESSION])
          show_alone :"people/account", title: Book.t("people.page.your_account")
        end

        # Letters of the stand-in, in the demo alone.
        get("/outbox", needs: :open) do
          post = env.dig(SigningIn::SHARED, :post)
          not_found unless post&.stand_in?
          @page = Page.new.freeze
          show_alone :"people/outbox", title: Book.t("people.outbox.title"), letters: post.letters
        end

        # For a monitor.
        get("/health", needs: :open) do
          parts = Services::Health.new(context).call
          status 503 unless parts.values.all?
          content_type :json
          JSON.generate(well: parts.values.all?, **parts, archive_key: Services::Health.new(context).archive_key)
        end

        get("/people", needs: :runs) { show_people }
        get("/people/log.csv", needs: :runs) { download Services::Accounts::Read.new(context).log }

        post("/people", needs: :runs) do
          show_people(invited: "#{request.base_url}/invitations/#{invite}")
        rescue InputError => e
          answer_refused
          show_people(errors: e.errors)
        end

        post("/people/wards", needs: :runs) { changing_people { |change| change.add_ward(fields.text(:ward)) } }
        post("/people/wards/:id", needs: :runs) do
          changing_people { |change| change.give_unowned(id_of("ward"), fields.number(:person)) }
        end

        post("/people/forget", needs: :runs) do
          show_people(said: forget_in(id_of("inquiry", fields.text(:inquiry))))
        rescue InputError => e
          answer_refused
          show_people(errors: e.errors)
        end

        post("/people/invitations/:id", needs: :runs) do
          Services::Accounts::Invite.new(context).revoke(id_of("invitation"))
          leave_for "/people"
        end

        post("/people/:id", needs: :runs) { changing_people { |change| change_person(change, person_id) } }

        get("/invitations/:token", needs: :open) { show_invitation }

        post("/invitations/:token", needs: :open) do
          sent = %i[name login password].to_h { |name| [name, fields.text(name)] }
          Services::Accounts::Invite.new(context).take_up(params["token"], **sent)
          redirect to("/sign-in"), 303
        rescue InputError => e
          answer_refused
          show_invitation(errors: e.errors)
        end
      end
    end
  end
end

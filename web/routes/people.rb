# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Who works here: signing in, one's own account, people and wards, invitations.
      module People
        def self.registered(app)
          signing_in(app)
          health(app)
          people(app)
          invitations(app)
        end

        def self.signing_in(app)
          # Asked for from within alone, see SigningIn::Requests.
          app.get("/sign-in/page") do
            @page = env[SigningIn::PAGE] or not_found
            show_alone :"people/#{@page.view}", title: @page.title, said: @page.said
          end

          app.get("/account") do
            not_found unless person_here
            @page = Pages::People::Account.new(context:, notice: env["hobrin.notice"],
                                               session: env[SigningIn::SESSION])
            show_alone :"people/account", title: "Your account"
          end

          # Letters of the stand-in, in the demo alone.
          app.get("/outbox") do
            post = env.dig(SigningIn::SHARED, :post)
            not_found unless post&.stand_in?
            @page = Pages::Page.new
            show_alone :"people/outbox", title: "Letters that went out", letters: post.letters
          end
        end

        # For a monitor.
        def self.health(app)
          app.get("/health") do
            parts = Services::Health.new(context).call
            status 503 unless parts.values.all?
            content_type :json
            JSON.generate(well: parts.values.all?, **parts, archive_key: Services::Health.new(context).archive_key)
          end
        end

        def self.people(app)
          app.get("/people") { show_people }
          app.get("/people/log.csv") { download Services::Accounts::Read.new(context).log }

          app.post("/people") do
            show_people(invited: "#{request.base_url}/invitations/#{invite}")
          rescue InputError => e
            answer_refused
            show_people(errors: e.errors)
          end

          app.post("/people/wards") { changing_people { |change| change.add_ward(fields.text(:ward)) } }
          app.post("/people/wards/:id") do
            changing_people { |change| change.give_unowned(id_of("ward"), fields.number(:person)) }
          end

          app.post("/people/forget") do
            show_people(said: forget_in(id_of("inquiry", fields.text(:inquiry))))
          rescue InputError => e
            answer_refused
            show_people(errors: e.errors)
          end

          app.post("/people/invitations/:id") do
            Services::Accounts::Invite.new(context).revoke(id_of("invitation"))
            leave_for "/people"
          end

          app.post("/people/:id") { changing_people { |change| change_person(change, person_id) } }
        end

        def self.invitations(app)
          app.get("/invitations/:token") { show_invitation }

          app.post("/invitations/:token") do
            sent = %i[name login password].to_h { |name| [name, fields.text(name)] }
            Services::Accounts::Invite.new(context).take_up(params["token"], **sent)
            redirect to("/sign-in"), 303
          rescue InputError => e
            answer_refused
            show_invitation(errors: e.errors)
          end
        end

        private_class_method :signing_in, :health, :people, :invitations
      end
    end
  end
end

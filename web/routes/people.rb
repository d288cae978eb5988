# frozen_string_literal: true

module Hobrin
  module Web
    module Routes
      # Who works here: signing in, one's own account, people and wards, invitations, and what each
      # may do with an inquiry.
      module People
        def self.registered(app)
          signing_in(app)
          people(app)
          invitations(app)
          standing(app)
          reading_twice(app)
        end

        def self.signing_in(app)
          # Asked for from within alone, see SigningIn::Requests.
          app.get("/sign-in/page") do
            @page = env[SigningIn::PAGE] or not_found
            show_alone :"people/#{@page.view}", title: @page.title, said: @page.said
          end

          app.get("/account") do
            @page = Pages::People::Account.new(context:, notice: env["hobrin.notice"])
            show_alone :"people/account", title: "Your account"
          end

          # Letters of the stand-in, in the demo alone.
          app.get("/outbox") do
            post = env.dig(SigningIn::SHARED, :post)
            not_found unless post&.stand_in?
            show_alone :"people/outbox", title: "Letters that went out", letters: post.letters
          end
        end

        def self.people(app)
          app.get("/people") { show_people }
          app.get("/people/log.csv") { download Services::ReadPeople.new(context).log }

          app.post("/people") do
            role = fields.one_of(:role, Hobrin::People::Person::ROLES.keys) || :member
            ward = fields.number(:ward).then { |id| id.is_a?(Integer) ? id : nil }
            token = Services::InvitePerson.new(context).call(name: fields.text(:name), ward_id: ward, role:,
                                                             runs: fields.checked?(:runs))
            show_people(invited: "#{request.base_url}/invitations/#{token}")
          rescue InputError => e
            status 422
            show_people(errors: e.errors)
          end

          app.post("/people/wards") { changing_people { |change| change.add_ward(fields.text(:ward)) } }
          app.post("/people/:id") { changing_people { |change| change_person(change, person_id) } }
        end

        def self.invitations(app)
          app.get("/invitations/:token") { show_invitation }

          app.post("/invitations/:token") do
            sent = %i[name login password].to_h { |name| [name, fields.text(name)] }
            Services::InvitePerson.new(context).take_up(params["token"], **sent)
            redirect to("/sign-in"), 303
          rescue InputError => e
            status 422
            show_invitation(errors: e.errors)
          end
        end

        def self.standing(app)
          app.get("/inquiries/:id/people") { show_standing }

          app.post("/inquiries/:id/people") do
            Services::ShareInquiry.new(context).give(inquiry_id, fields.number(:person), fields.text(:ability))
            leave_for "/inquiries/#{inquiry_id}/people"
          rescue InputError => e
            status 422
            show_standing(errors: e.errors)
          end
        end

        def self.reading_twice(app)
          app.get("/inquiries/:id/differences") { show_differences }

          app.post("/inquiries/:id/differences") do
            verdict = fields.one_of(:verdict, Sifting::Decision::VERDICTS)
            decision = Sifting::Decision.new(record_id: fields.text(:paper), verdict:, note: fields.text(:note),
                                             reason: verdict == :drop ? fields.text(:reason) : nil)
            Services::ReadTwice.new(context, inquiry_id).settle(decision)
            leave_for "/inquiries/#{inquiry_id}/differences"
          rescue InputError => e
            status 422
            show_differences(errors: e.errors)
          end

          app.post("/inquiries/:id/twice") do
            twice = Services::ReadTwice.new(context, inquiry_id)
            fields.text(:do) == "stop" ? twice.stop : twice.start(fields.number(:second))
            leave_for "/inquiries/#{inquiry_id}/people"
          rescue InputError => e
            status 422
            show_standing(errors: e.errors)
          end
        end
        private_class_method :signing_in, :people, :invitations, :standing, :reading_twice
      end
    end
  end
end

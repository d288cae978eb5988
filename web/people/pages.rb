# frozen_string_literal: true

module Hobrin
  module Web
    module People
      # Who may sign in, and what each sees of themselves.
      module Pages
        # People and wards, for who runs this Hobrin.
        class Everybody < Page
          # A person: places :: Array of [People::Ward, role or nil]
          class Row < Value
            attributes :id, :name, :login, :runs, :guarded, :places
          end

          ROLES = { nil => "not here", member: "member", librarian: "librarian" }.freeze
          MOST_LINES = 12
          private_constant :ROLES, :MOST_LINES

          # The address for somebody who was just asked, nil for none.
          attr_reader :invited, :said

          # said :: what is to be told on the page, nil for nothing
          def initialize(context:, errors:, invited:, said: nil)
            super(errors:)
            @said = said
            @overview = Services::Accounts::Read.new(context).call
            @invited = invited
            freeze
          end

          def rows
            @overview.people.map do |person|
              Row.new(**person.to_h.slice(:id, :name, :login, :runs), guarded: @overview.guarded.include?(person.id),
                                                                      places: wards.map { |ward| [ward, person.wards[ward.id]] })
            end
          end

          def closed = @overview.closed
          def wards = @overview.wards
          def roles(chosen) = ROLES.map { |value, name| [value, name, value == chosen] }

          def role_choices
            Hobrin::People::Person::ROLES.map { |value, name| [value, name, value == :member] }
          end

          def ward_choices = wards.map { |ward| [ward.id, ward.name, false] }

          def invitations
            @overview.invitations.map do |invitation|
              [invitation.id, invitation.name, invitation.made_by, day_and_time(invitation.ends_at)]
            end
          end

          # Wards some of whose inquiries nobody owns: [ward, how many, choices of people].
          def unowned
            wards.filter_map do |ward|
              count = @overview.unowned[ward.id] or next
              people = @overview.people.select { |person| person.in?(ward.id) }
              [ward, Book.t("people.everybody.no_owner", count:, ward: ward.name), people.map { |person| [person.id, person.name, false] }]
            end
          end

          def log
            @overview.log.first(MOST_LINES).map do |line|
              [day_and_time(line.at), line.who, line.what, line.about]
            end
          end

          # What is wrong with the log, or nil.
          def broken
            at = @overview.broken_at
            at && Book.t("people.everybody.log_broken", line: at)
          end
        end

        # One's own account: wards, password, second step, where one is signed in.
        class Account < Page
          attr_reader :notice

          # A place where one is signed in: here :: whether it is this one
          class Place < Value
            attributes :name, :begun, :used, :here
          end

          # session :: the name of the one of this request
          def initialize(context:, notice:, session:)
            super()
            @own = Services::Accounts::Read.new(context).own
            @session = session
            @notice = notice
            freeze
          end

          def name = @own.person.name
          def login = @own.person.login
          def runs? = @own.person.runs

          # Array of [name of a ward, role].
          def wards = @own.wards.map { |name, role| [name, Hobrin::People::Person::ROLES.fetch(role)] }
          def second_step? = @own.second_step

          # Array of Place, last used first.
          def sessions
            @own.sessions.map do |session|
              Place.new(name: session.name, begun: when_of(session.begun), used: when_of(session.used),
                        here: session.name == @session)
            end
          end

          private

          def when_of(time) = day_and_time(time.strftime("%Y-%m-%dT%H:%M:%SZ"))
        end

        # Where somebody who was asked to join does so.
        class Invitation < Page
          def initialize(invitation:, errors:, fields:)
            super(errors:)
            @invitation = invitation
            @fields = fields
            freeze
          end

          def by = @invitation.made_by
          def name = @fields.sent?(:name) ? @fields.text(:name) : @invitation.name
          def login = @fields.text(:login)
          def shortest = Hobrin::People::Password::SHORTEST
        end

        # One of the pages of signing in.
        class SignIn < Page
          # Views by the names that rodauth gives them, each with the key of its title.
          NAMES = { "login" => [:sign_in, "sign_in.title"], "logout" => [:sign_out, "sign_in.sign_out"],
                    "forgotten" => [:forgotten, "password.new"], "reset-password" => [:new_password, "password.new"],
                    "change-password" => [:password, "password.change_title"], "otp-setup" => [:second_step_on, "two_step.title"],
                    "otp-auth" => [:second_step, "two_step.title"], "otp-disable" => [:second_step_off, "two_step.turn_off"],
                    "recovery-auth" => [:spare_code, "two_step.backup_code"],
                    "recovery-codes" => [:spare_codes, "two_step.backup_codes"],
                    "add-recovery-codes" => [:spare_codes, "two_step.backup_codes"] }.freeze
          private_constant :NAMES

          attr_reader :notice, :warning, :view, :title, :people

          # login :: what who is signed in signs in with, for the browser that keeps passwords
          # second_step :: SecondStep, nil where none is put on; codes :: spare codes, nil where they are not shown
          attr_reader :login, :second_step, :codes

          # rodauth :: what answers; people :: Array of the made-up people that one may be, in the
          #   demo
          def initialize(name:, rodauth:, errors:, notice:, warning:, mail:, people: [])
            super(errors:)
            @view, title = NAMES.fetch(name)
            @title = Book.t("people.#{title}")
            @typed = rodauth.param_or_nil("login").to_s
            @notice = notice
            @warning = warning
            @mail = mail
            @people = people
            account = rodauth.account || (rodauth.account_from_session if rodauth.logged_in?)
            @login = account&.fetch(:login).to_s
            @second_step = SecondStep.of(rodauth) if view == :second_step_on
            @codes = rodauth.recovery_codes if name == "add-recovery-codes"
            freeze
          end

          def sample? = people.any?
          def said = warning || notice

          # Whether letters go out.
          def mail? = @mail

          # What was typed to sign in with.
          attr_reader :typed

          # The secret of a second step that is put on: text :: in groups of four letters; picture :: to be read by a
          # telephone, as safe markup; fields :: what its form sends along
          class SecondStep < Value
            attributes :text, :picture, :fields

            def self.of(rodauth)
              require "rqrcode"
              code = RQRCode::QRCode.new(rodauth.otp_provisioning_uri)
              new(text: rodauth.otp_user_key.scan(/.{1,4}/).join(" "),
                  picture: code.as_svg(use_path: true, module_size: 4, viewbox: true, offset: 16, fill: "fff"),
                  fields: { otp_secret: rodauth.otp_user_key, otp_raw_secret: rodauth.otp_key })
            end
          end
        end
      end
    end
  end
end

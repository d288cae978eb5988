# frozen_string_literal: true

require "securerandom"

module Hobrin
  module Services
    # Who may sign in.
    module Accounts
      # Lets somebody sign in from now on.
      class Add < Service
        LOGIN = /\A[^\s@]+(?:@[^\s@]+)?\z/
        private_constant :LOGIN

        # name :: as the trail writes it; login :: what is typed to sign in; runs :: whether they look
        #   after this Hobrin; ward_id, role :: where they work, nil for nowhere yet
        # The block, if any, is what must come first in the same transaction. Gives the id. Raises
        # InputError (:name, :login, :password), and what the block raises.
        def call(name:, login:, password:, runs: false, ward_id: nil, role: :member)
          check(name.strip, login.strip, password)
          hash = SignIn::Passwords.digest(password)
          directory = @context.directory
          directory.writing do
            yield if block_given?
            id = directory.accounts.add(name: name.strip, login:, hash:, runs:, at: @context.clock.now)
            directory.wards.put(ward_id, id, role) if ward_id
            id
          end
        end

        private

        def check(name, login, password)
          errors = { name: name_trouble(name), login: login_trouble(login),
                     password: SignIn::Passwords.trouble(password, about: [name, login]) }.compact
          raise InputError, errors if errors.any?
        end

        # Two of one name could not be told apart in a trail.
        def name_trouble(name)
          return Book.t("errors.people.name") if name.empty?
          return FieldLengths.message(:person) if FieldLengths.over?(:person, name)

          same = @context.directory.accounts.all.any? do |person|
            Text::Tokens.line(person.name) == Text::Tokens.line(name)
          end
          Book.t("errors.people.name_taken") if same
        end

        def login_trouble(login)
          return if login.match?(LOGIN) && !FieldLengths.over?(:login, login)

          Book.t("errors.people.login", most: FieldLengths.of(:login))
        end
      end

      # Asks somebody to join, by an address that only they are told, and lets them in when they take
      # it up.
      class Invite < Service
        DAYS = 14
        SECRET = 32
        private_constant :DAYS, :SECRET

        def initialize(context)
          super
          @invitations = context.directory.invitations
        end

        # Gives the secret part of the address. Raises InputError (:name, :ward).
        def call(name:, ward_id:, role:, runs: false)
          name = name.strip
          raise InputError, { name: Book.t("errors.people.invitee") } if name.empty? || FieldLengths.over?(:person, name)

          raise InputError, { ward: Book.t("errors.people.ward") } unless runs || ward_id

          ward = ward_id && @context.directory.wards.find(ward_id)
          token = SecureRandom.urlsafe_base64(SECRET)
          @invitations.add(token, name:, ward_id: ward&.id, role:, runs:, made_by: @context.user.name,
                                  made_at: @context.clock.now, ends_at: @context.clock.days_ago(-DAYS))
          @context.audit.note("invited", [name, ward&.name, role].compact.join(", "))
          token
        end

        # The Store::Directory::Invitations::Invitation that an address stands for. Raises GoneError.
        def read(token) = @invitations.find(token, at: @context.clock.now)

        # Takes one up. Gives the id of who may sign in now. Raises GoneError, InputError (:name,
        # :login, :password).
        def take_up(token, name:, login:, password:)
          invitation = read(token)
          id = Add.new(@context).call(name:, login:, password:, runs: invitation.runs, role: invitation.role,
                                      ward_id: invitation.ward_id) do
            @invitations.use(invitation.id, at: @context.clock.now)
          end
          @context.directory.audit.add(at: @context.clock.now, who: name.strip, what: "joined",
                                       about: "asked by #{invitation.made_by}")
          id
        end

        # Nobody can take it up any more. Raises GoneError for one that is not waiting.
        def revoke(id)
          invitation = @invitations.revoke(id)
          @context.audit.note("invitation revoked", invitation.name)
        end
      end

      # What who runs this Hobrin does with people and wards.
      class Change < Service
        def initialize(context)
          super
          @accounts = context.directory.accounts
          @wards = context.directory.wards
        end

        # Raises InputError (:ward).
        def add_ward(name)
          name = name.strip
          trouble = Book.t("errors.people.ward_name", most: FieldLengths.of(:ward))
          raise InputError, { ward: trouble } if name.empty? || FieldLengths.over?(:ward, name)

          @wards.named(name).tap { @context.audit.note("ward", name) }
        end

        # role :: :member, :librarian, or nil to take somebody off it. Raises GoneError.
        def put(id, ward_id, role)
          ward, person = @wards.find(ward_id), person(id)
          role ? @wards.put(ward.id, person.id, role) : take_off(ward, person)
          @wards.notify(ward.id, at: @context.clock.now, who: person.name, role:) if role && person.id == @context.user.person&.id
          @context.audit.note("role", "#{person.name}: #{role || "no more"} on #{ward.name}")
        end

        # Gives the inquiries of a ward that nobody owns to somebody of the ward. Raises GoneError,
        # InputError (:person).
        def give_unowned(ward_id, person_id)
          ward = @wards.find(ward_id)
          person = @accounts.find(person_id)
          raise InputError, { person: Book.t("errors.people.choose_colleague", ward: ward.name) } unless person&.in?(ward.id)

          count = @context.standings.give_unowned(ward.id, person.id)
          @context.audit.note("inquiries given", "#{count} of #{ward.name} to #{person.name}")
        end

        # Somebody must be left who looks after this. Raises GoneError, InputError (:press).
        def let_run(id, runs)
          person = person(id)
          last!(person) unless runs
          @accounts.let_run(person.id, runs)
          @context.audit.note("role", "#{person.name}: #{runs ? "runs this Hobrin" : "runs it no more"}")
        end

        # Lets somebody sign in no more. What they did stays. Raises GoneError, InputError (:press).
        def close(id)
          person = person(id)
          last!(person)
          @accounts.close(person.id)
          pass_on(person, @context.standings.release(person.id))
          @context.audit.note("closed", person.name)
        end

        def open(id)
          @accounts.open(id)
          @context.audit.note("opened again", person(id).name)
        end

        private

        def take_off(ward, person)
          @wards.take_off(ward.id, person.id)
          pass_on(person, @context.standings.release(person.id, ward_id: ward.id))
        end

        # What somebody owned passes to the ward.
        def pass_on(person, count)
          @context.audit.note("inquiries passed to the ward", "#{count} of #{person.name}") if count.positive?
        end

        def person(id) = @accounts.find(id) || raise(GoneError, "person")

        def last!(person)
          return unless person.runs && @accounts.all.one?(&:runs)

          raise InputError, { press: Book.t("errors.people.last_administrator") }
        end
      end

      # Who works here: for who runs this Hobrin.
      class Read < Service
        # people, closed :: Arrays of People::Person; wards :: Array of People::Ward; invitations :: Array
        #   of Store::Directory::Invitations::Invitation that wait; guarded :: ids of those with a second step
        # unowned :: Hash of ward id to how many of its inquiries nobody owns
        # log :: the last lines, Array of Store::Audit::Line; broken_at :: number of the first line
        #   that is not as it was written, or nil
        class Overview < Value
          attributes :people, :closed, :wards, :invitations, :guarded, :unowned, :log, :broken_at
        end

        # person :: People::Person; wards :: Array of [name, role]; second_step :: whether there is one
        # sessions :: Array of Store::Directory::Accounts::Session, last used first
        class Own < Value
          attributes :person, :wards, :second_step, :sessions
        end

        LINES = 60
        private_constant :LINES

        MOST_LINES = 20_000
        NOTICED_DAYS = 30
        private_constant :MOST_LINES, :NOTICED_DAYS

        # What who signed in sees of themselves. Gives an Own.
        def own
          person, directory = @context.user.person, @context.directory
          wards = directory.wards.all.filter_map { |ward| [ward.name, person.wards[ward.id]] if person.wards.key?(ward.id) }
          Own.new(person:, wards:, second_step: directory.accounts.with_second_step.include?(person.id),
                  sessions: directory.accounts.sessions(person.id))
        end

        # Gives a Download: the log as a sheet, the last line first.
        def log
          rows = @context.directory.audit.last(MOST_LINES).map do |line|
            line.to_h.values_at(:number, :at, :who, :what, :about, :print)
          end
          sheet = Exchange::Tables::Sheet.new(name: "Log", columns: %w[Line When Who What About Fingerprint], rows:)
          Download.new(name: "hobrin-people-log.csv", type: Exchange::Tables::Csv::TYPE, body: Exchange::Tables::Csv.call(sheet))
        end

        # What the wards of who signed in are told: Array of [name of the ward, Store::Directory::Wards::Notice].
        def notices
          return [] unless @context.user.person

          wards = @context.user.person.wards.keys

          names = @context.directory.wards.all.to_h { |ward| [ward.id, ward.name] }
          @context.directory.wards.notices(wards, since: @context.clock.days_ago(NOTICED_DAYS))
                  .map { |notice| [names[notice.ward_id], notice] }
        end

        # Everybody who may sign in: Array of People::Person. One of them by id, nil for who may not.
        def people = @context.directory.accounts.all
        def person(id) = @context.directory.accounts.find(id)

        # Gives an Overview.
        def call
          directory = @context.directory
          Overview.new(people: directory.accounts.all, closed: directory.accounts.closed, wards: directory.wards.all,
                       invitations: directory.invitations.waiting(at: @context.clock.now),
                       guarded: directory.accounts.with_second_step, unowned: @context.standings.without_owner,
                       log: directory.audit.last(LINES), broken_at: directory.audit.broken_at)
        end
      end
    end
  end
end

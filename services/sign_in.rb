# frozen_string_literal: true

require "argon2"
require "securerandom"
require "set"

module Hobrin
  module Services
    # Passwords, and wrong ones.
    module SignIn
      # What a password must be, and how it is kept: as what argon2id makes of it, with a salt of its
      # own.
      module Passwords
        # As rodauth makes them: 64 MB and two passes.
        COST = { t_cost: 2, m_cost: 16, p_cost: 1 }.freeze
        # Each hash takes 64 MB and a core for a moment: so many at once, the others wait.
        AT_ONCE = 2
        TURNS = SizedQueue.new(AT_ONCE)
        # The ten thousand passwords that most people have, as rodauth ships them.
        COMMON = File.join(Gem.loaded_specs.fetch("rodauth").full_gem_path, "dict", "top-10_000-passwords.txt")
        private_constant :COST, :AT_ONCE, :TURNS, :COMMON

        class << self
          # Raises InputError (:password) for one that will not do. about :: texts that it must not be
          def check(text, about: [])
            trouble = trouble(text, about:)
            raise InputError, { password: trouble } if trouble
          end

          # Why one will not do, or nil.
          def trouble(text, about: []) = People::Password.trouble(text, common:, about:)

          # What is kept of one.
          def digest(text, cost: COST) = in_turn { Argon2::Password.new(cost).create(text) }

          # A hash of a password that nobody has, which costs as much to check as any.
          def nobodys = @nobodys ||= digest(SecureRandom.hex(32))

          # Does what hashes a password when its turn comes.
          def in_turn
            TURNS << true
            begin
              yield
            ensure
              TURNS.pop
            end
          end

          private

          def common = @common ||= File.readlines(COMMON, chomp: true).to_set(&:downcase).freeze
        end
      end

      # Gives somebody a new password from the command line, and ends every session of theirs.
      class RenewPassword < Service
        # Raises GoneError, InputError (:password).
        def call(login, password)
          person = @context.directory.accounts.by_login(login) or raise GoneError, "person"
          Passwords.check(password, about: [person.name, person.login])
          @context.directory.accounts.renew(person.id, Passwords.digest(password))
          @context.directory.tries.forget_all(person.login)
          @context.directory.audit.add(at: @context.clock.now, who: "the command line", what: "password given anew",
                                       about: person.name)
        end
      end

      # What happens to who is signed in, and how it is written down.
      class Sessions < Service
        def initialize(context)
          super
          @directory = context.directory
        end

        # The name of a session by its key.
        def name(key) = @directory.accounts.session_name(key)

        # Ends one of somebody's sessions, by its name.
        def end_one(account_id, name) = @directory.accounts.end_session(account_id, name)

        # Who chose a new password may have typed wrong ones before.
        def forget_tries(login) = @directory.tries.forget_all(login)

        # what :: in a word; about :: more of it
        def note_down(who, what, about = "") = @directory.audit.add(at: @context.clock.now, who:, what:, about:)
      end

      # Counts wrong passwords and codes, so that nobody guesses for long, and nobody is kept out for as
      # long as somebody else keeps guessing. A browser in which somebody signed in before has tries of
      # its own; all others are counted by name together with where they come from, by where they come
      # from, and by name alone.
      class Tries
        MINUTES = 15
        # Within so many minutes. A whole hospital may come from one address.
        MOST = { browser: 8, pair: 8, sender: 40, name: 60, letters: 10 }.freeze
        private_constant :MINUTES, :MOST

        # sender :: the address that a request comes from; browser :: what tells a browser in which
        #   somebody signed in before, or nil. The block gives whether that was with a name.
        def initialize(context, sender:, browser: nil)
          @context = context
          @tries = context.directory.tries
          @sender = sender
          @browser = browser
        end

        # login :: as it was typed. Whether there were too many: then no password is looked at.
        def too_many?(login, known: false)
          keys(login, known).any? { |kind, key| @tries.count(key, since:) >= MOST.fetch(kind) }
        end

        def add(login, known: false)
          @tries.add(keys(login, known).values, login:, at: @context.clock.now, since:)
        end

        # Counts a new password that was asked for. Gives whether another letter may go out.
        def letter?(login)
          key = "letters #{@sender}"
          @tries.add([key], login:, at: @context.clock.now, since:)
          @tries.count(key, since:) <= MOST.fetch(:letters)
        end

        # After somebody signed in.
        def forget(login, known: false)
          @tries.forget(keys(login, known).except(:sender).values)
        end

        private

        def since = @context.clock.minutes_ago(MINUTES)

        def keys(login, known)
          login = login.to_s.strip.downcase
          return { browser: "browser #{@browser} #{login}" } if known && @browser

          { pair: "pair #{@sender} #{login}", sender: "sender #{@sender}", name: "name #{login}" }
        end
      end
    end
  end
end

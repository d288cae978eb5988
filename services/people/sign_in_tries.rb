# frozen_string_literal: true

module Hobrin
  module Services
    # Counts wrong passwords and codes, so that nobody guesses for long, and nobody is kept out for as
    # long as somebody else keeps guessing. A browser in which somebody signed in before has tries of
    # its own; all others are counted by name together with where they come from, by where they come
    # from, and by name alone.
    class SignInTries
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
        @tries.add(keys(login, known).values, login:, at: @context.now, since:)
      end

      # Counts a new password that was asked for. Gives whether another letter may go out.
      def letter?(login)
        key = "letters #{@sender}"
        @tries.add([key], login:, at: @context.now, since:)
        @tries.count(key, since:) <= MOST.fetch(:letters)
      end

      # After somebody signed in.
      def forget(login, known: false)
        @tries.forget(keys(login, known).except(:sender).values)
      end

      private

      def since = @context.minutes_ago(MINUTES)

      def keys(login, known)
        login = login.to_s.strip.downcase
        return { browser: "browser #{@browser} #{login}" } if known && @browser

        { pair: "pair #{@sender} #{login}", sender: "sender #{@sender}", name: "name #{login}" }
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # The log of what people did, where they sign in.
    class Audit
      # log :: Store::Audit; user :: User; clock :: Clock
      def initialize(log:, user:, clock:)
        @log = log
        @user = user
        @clock = clock
        freeze
      end

      # Writes down what somebody did; nothing where nobody signed in. what :: in a word; about :: more of it
      def note(what, about = "", who: @user.name)
        @log.add(at: @clock.now, who:, what:, about:) if @user.person
      end
    end
  end
end

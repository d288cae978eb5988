# frozen_string_literal: true

module Hobrin
  module Services
    # Gives somebody a new password from the command line, and ends every session of theirs.
    class RenewPassword
      def initialize(context)
        @context = context
      end

      # Raises GoneError, InputError (:password).
      def call(login, password)
        person = @context.directory.accounts.by_login(login) or raise GoneError, "person"
        Passwords.check(password, about: [person.name, person.login])
        @context.directory.accounts.renew(person.id, Passwords.digest(password))
        @context.directory.tries.forget_all(person.login)
        @context.directory.audit.add(at: @context.now, who: "the command line", what: "password given anew",
                                     about: person.name)
      end
    end
  end
end

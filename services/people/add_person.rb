# frozen_string_literal: true

module Hobrin
  module Services
    # Lets somebody sign in from now on.
    class AddPerson
      LOGIN = /\A[^\s@]+(?:@[^\s@]+)?\z/
      LONGEST_LOGIN = 120
      private_constant :LOGIN, :LONGEST_LOGIN

      def initialize(context)
        @context = context
      end

      # name :: as the trail writes it; login :: what is typed to sign in; runs :: whether they look
      #   after this Hobrin; ward_id, role :: where they work, nil for nowhere yet
      # The block, if any, is what must come first in the same transaction. Gives the id. Raises
      # InputError (:name, :login, :password), and what the block raises.
      def call(name:, login:, password:, runs: false, ward_id: nil, role: :member)
        check(name.strip, login.strip, password)
        hash = Passwords.digest(password)
        directory = @context.directory
        directory.writing do
          yield if block_given?
          id = directory.accounts.add(name: name.strip, login:, hash:, runs:, at: @context.now)
          directory.wards.put(ward_id, id, role) if ward_id
          id
        end
      end

      private

      def check(name, login, password)
        errors = { name: name_trouble(name), login: login_trouble(login),
                   password: Passwords.trouble(password, about: [name, login]) }.compact
        raise InputError, errors if errors.any?
      end

      # Two of one name could not be told apart in a trail.
      def name_trouble(name)
        return "Write the name that others know them by." if name.empty?
        return "Write at most #{People::Person::LONGEST_NAME} letters." if name.size > People::Person::LONGEST_NAME

        same = @context.directory.accounts.all.any? do |one|
          Text::Tokens.line(one.name) == Text::Tokens.line(name)
        end
        "Somebody is called so already: the trail could not tell the two apart." if same
      end

      def login_trouble(login)
        return if login.match?(LOGIN) && login.size <= LONGEST_LOGIN

        "Write an address of mail, or a name without spaces, of at most #{LONGEST_LOGIN} letters."
      end
    end
  end
end

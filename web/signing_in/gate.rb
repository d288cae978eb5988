# frozen_string_literal: true

require "roda"
require "rodauth"

module Hobrin
  module Web
    module SigningIn
      # Stands before the application where people sign in: answers the addresses of signing in, and
      # says of every other request who it is from.
      class Gate
        # context :: Services::Context; post :: Outside::Post; origin :: such as
        #   "https://hobrin.example", "" for what a request says; demo :: whether the made-up people may
        #   be chosen; required :: whether nobody may do anything unless they signed in;
        #   open_catalogue :: whether other machines may search and harvest
        def initialize(app, context:, post:, secret:, origin: "", demo: false, required: true, open_catalogue: false)
          @app = app
          @shared = { open_catalogue:, demo:, required:, post: }.freeze
          @accounts = Accounts.build(context:, post:, secret:, origin:, pages: app, demo:,
                                     secure: origin.start_with?("https:"))
        end

        def call(env)
          env[SHARED] = @shared
          env["hobrin.next"] = @app
          @accounts.call(env)
        end
      end
    end
  end
end

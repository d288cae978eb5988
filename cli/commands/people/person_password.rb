# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin person password LOGIN
      class PersonPassword < PersonAdd
        SUMMARY = "Gives somebody a new password, and signs them out everywhere"
        USAGE = "LOGIN [OPTIONS]"
        EXAMPLES = ["hobrin person password maren"].freeze

        private

        def options(_parser); end

        def run(login)
          Services::RenewPassword.new(context).call(login, password)
          @out.puts "#{login} signs in with the new one."
        end
      end
    end
  end
end

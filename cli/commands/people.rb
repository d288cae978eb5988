# frozen_string_literal: true

require "io/console"

module Hobrin
  module Cli
    module Commands
      # hobrin person add and password
      module People
        # hobrin person add NAME LOGIN
        class Add < Command
          SUMMARY = "Lets somebody sign in; asks for their password, or reads it from its input"
          USAGE = "NAME LOGIN [OPTIONS]"
          EXAMPLES = ["hobrin person add \"Maren Vendrillon\" maren --runs --ward \"Ward 4\" --owns-all"].freeze

          private

          def options(parser)
            parser.on("--runs", "They look after this Hobrin: people, catalogues, imports") { given[:runs] = true }
            parser.on("--ward NAME", "The ward that they are on; it is made when there is none") do |name|
              given[:ward] = name
            end
            parser.on("--librarian", "They are the librarian of that ward") { given[:role] = :librarian }
            parser.on("--owns-all", "Every inquiry that nobody owns yet becomes theirs, on that ward") do
              given[:owns] = true
            end
          end

          def run(name, login)
            raise InputError, { ward: "--owns-all needs a --ward." } if given[:owns] && !given[:ward]

            ward = given[:ward] && Services::Accounts::Change.new(context).add_ward(given[:ward])
            id = Services::Accounts::Add.new(context).call(name:, login:, password:, runs: given[:runs] || false,
                                                           ward_id: ward&.id, role: given.fetch(:role, :member))
            @out.puts "#{name} signs in as #{login}."
            return unless given[:owns]

            count = context.standings.put_unowned(ward_id: ward.id, owner_id: id)
            @out.puts "#{count} inquiries are theirs now."
          end

          def password
            return $stdin.gets.to_s.chomp unless $stdin.tty?

            @err.print "Password, at least #{Hobrin::People::Password::SHORTEST} letters: "
            $stdin.noecho(&:gets).to_s.chomp.tap { @err.puts }
          end
        end

        # hobrin person password LOGIN
        class Password < Add
          SUMMARY = "Gives somebody a new password, and signs them out everywhere"
          USAGE = "LOGIN [OPTIONS]"
          EXAMPLES = ["hobrin person password maren"].freeze

          private

          def options(_parser); end

          def run(login)
            Services::SignIn::RenewPassword.new(context).call(login, password)
            @out.puts "#{login} signs in with the new one."
          end
        end
      end
    end
  end
end

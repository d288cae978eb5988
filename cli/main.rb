# frozen_string_literal: true

require "optparse"

module Hobrin
  module Cli
    # The command line: finds the command, and turns what goes wrong into one message and an exit
    # status.
    #
    # 0: done; 1: input was refused (in whole or in part); 2: cannot run
    class Main
      # Each by its name; only the one that is asked for is loaded.
      COMMANDS = {
        "count" => -> { Commands::Searching::Count }, "find" => -> { Commands::Searching::Find },
        "explain" => -> { Commands::Searching::Explain }, "import" => -> { Commands::Import },
        "thesaurus import" => -> { Commands::Thesaurus::Import }, "thesaurus export" => -> { Commands::Thesaurus::Export },
        "trail" => -> { Commands::Trail }, "export" => -> { Commands::Export }, "propose" => -> { Commands::Propose },
        "verify" => -> { Commands::Verify }, "backup" => -> { Commands::Keeping::Backup },
        "restore" => -> { Commands::Keeping::Restore }, "nightly" => -> { Commands::Keeping::Nightly },
        "serve" => -> { Commands::Serving::Serve }, "work" => -> { Commands::Serving::Work },
        "library publish" => -> { Commands::Library::Publish }, "library fetch" => -> { Commands::Library::Fetch },
        "person add" => -> { Commands::People::Add }, "person password" => -> { Commands::People::Password },
        "bench" => -> { Commands::Measuring::Bench }, "stress" => -> { Commands::Measuring::Stress }
      }.freeze
      DONE, REFUSED, CANNOT = 0, 1, 2
      INTERRUPTED = 130
      private_constant :DONE, :REFUSED, :CANNOT, :INTERRUPTED

      # out, err :: where answers and messages go
      def initialize(out: $stdout, err: $stderr, env: ENV)
        @out = out
        @err = err
        @env = env
      end

      # arguments :: Array of String. Gives the exit status.
      def call(arguments)
        return fail_with("an argument is not readable text (UTF-8).", REFUSED) unless arguments.all? { |text| readable?(text) }
        return help if arguments.empty? || %w[-h --help help].include?(arguments.first)

        name, rest = command(arguments)
        COMMANDS.fetch(name).call.new(name:, out: @out, err: @err, env: @env).call(rest) == false ? REFUSED : DONE
      rescue InputError, GoneError, OptionParser::ParseError => e
        # What optparse adds about near names comes on lines of its own.
        fail_with(e.is_a?(OptionParser::ParseError) ? e.message.split.join(" ") : e.message,
                  REFUSED)
      rescue Services::Health::UNREADABLE => e
        fail_with(Services::Health.trouble(e), CANNOT)
      rescue Errno::EPIPE
        DONE
      rescue StateError, UnavailableError, SystemCallError => e
        # The system says in which of its functions it failed, which helps nobody here.
        fail_with(e.message.sub(/ @ \w+ - /, ": "), CANNOT)
      rescue Interrupt
        fail_with("stopped.", INTERRUPTED)
      end

      private

      def readable?(argument)
        argument.dup.force_encoding(Encoding::UTF_8).valid_encoding? && !argument.include?("\0")
      end

      def command(arguments)
        name = [arguments.first(2).join(" "), arguments.first].find { |known| COMMANDS.key?(known) }
        return [name, arguments.drop(name.split.size)] if name

        asked = %w[thesaurus person library].include?(arguments.first) ? arguments.first(2).join(" ") : arguments.first
        raise InputError, { command: "there is no command “#{asked}”.#{Text::Nearest.hint(asked, COMMANDS.keys)} hobrin --help lists them." }
      end

      def help
        @out.puts "Hobrin on the command line: the same searches and numbers as in the browser.\n\n"
        COMMANDS.each { |name, command| @out.puts format("  %-18s %s", name, command.call::SUMMARY) }
        @out.puts "\nhobrin COMMAND --help shows how, with examples.",
                  "--home DIR, or HOBRIN_HOME, says where the data is.",
                  "Exit status: 0 done, 1 input was refused, 2 cannot run."
        DONE
      end

      def fail_with(message, status)
        @err.puts "hobrin: #{message}"
        status
      end
    end
  end
end

# frozen_string_literal: true

require "optparse"

module Hobrin
  module Cli
    # What every command has: its options, its help, and the data that it works on. A command says
    # in SUMMARY what it does, in USAGE what follows its name, in EXAMPLES how it is used, and
    # writes `options` and `run`.
    class Command
      # More than any library has.
      LARGEST = 1_000_000_000
      private_constant :LARGEST

      EXAMPLES = [].freeze

      # name :: as it was called
      def initialize(name:, out:, err:, env:)
        @name = name
        @out = out
        @err = err
        @env = env
        @given = {}
      end

      # arguments :: Array of String. Gives false when some of the input was refused.
      # Raises InputError, StateError, OptionParser::ParseError.
      def call(arguments)
        words = parser.parse(arguments)
        return @out.puts(parser.help) if @given[:help]

        run(*counted(words))
      end

      private

      attr_reader :given

      # Hook for options of one command.
      def options(_parser); end

      # For commands that take CQL, which may name the lines of a trail.
      def inquiry_option(parser)
        parser.on("--inquiry NUMBER",
                  "Whose trail the lines named by cql.resultSetId belong to") do |id|
          given[:inquiry] = whole_number(id, "inquiry")
        end
      end

      def parser
        @parser ||= OptionParser.new do |parser|
          parser.banner = "hobrin #{@name} #{self.class::USAGE}\n\n#{self.class::SUMMARY}.\n\n"
          options(parser)
          parser.on("--home DIR",
                    "Where the data is (HOBRIN_HOME, or var/ beside the code)") do |dir|
            given[:home] = dir
          end
          parser.on("-h", "--help", "This help") { given[:help] = true }
          parser.separator("\nExamples:") if self.class::EXAMPLES.any?
          self.class::EXAMPLES.each { |example| parser.separator("  #{example}") }
        end
      end

      # The words as many as USAGE names, more only where it ends in "…".
      def counted(words)
        wanted = self.class::USAGE.scan(/\b[A-Z]{2,}(?:…)?/).reject { |word| word == "OPTIONS" }
        enough = self.class::USAGE.include?("…") ? words.size >= wanted.size : words.size == wanted.size
        return words if enough

        usage = self.class::USAGE.sub(" [OPTIONS]", "")
        raise InputError,
              { arguments: "#{@name} takes #{usage}. hobrin #{@name} --help shows how." }
      end

      def home = given[:home] ? Pathname(given[:home]) : Boot.home(@env)
      def context = @context ||= Boot.context(home:)

      # The library must hold something for a search to mean anything.
      def library!
        return context unless context.library.empty?

        raise StateError,
              "The library is empty. hobrin import FILE fills it, bin/demo fills it with made-up papers."
      end

      def whole_number(text, name)
        number = Integer(text, 10, exception: false)
        return number if number&.between?(1, LARGEST)

        raise InputError, { name.to_sym => "#{name} must be a whole number from 1 to #{LARGEST}." }
      end

      def json(value) = @out.puts(JSON.pretty_generate(value))
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # Says which heading a name from outside stands for. Papers that are here get the heading in the
    # background; those that come in later get it at once.
    class MatchHeading
      def initialize(context)
        @context = context
      end

      # name :: a keyword or heading as files have it; label :: any name of a heading
      # Raises InputError (:label).
      def call(name, label)
        heading = @context.thesaurus.heading(label.strip) || @context.thesaurus.named(label.strip)
        raise InputError, { label: "“#{label.strip[0, 80]}” is not a heading of the thesaurus." } unless heading
        raise InputError, { label: "Say which name it stands for." } if Text::Tokens.line(name).empty?

        @context.library.matches.write(name, heading.label)
        WakeWorker.new(@context).call
      end

      # A name stands for nothing any more: papers get it back as they had it. Raises GoneError.
      def take_back(name)
        raise GoneError, "match" unless @context.library.matches.let_go(name)

        WakeWorker.new(@context).call
      end
    end
  end
end

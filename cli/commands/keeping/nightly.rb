# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin nightly
      class Nightly < Command
        SUMMARY = "What is done once a night: forgets what was deleted 30 days ago, checks the log of people"
        USAGE = "[OPTIONS]"
        EXAMPLES = ["hobrin nightly"].freeze

        private

        # Gives false where the log is not as it was written.
        def run(*)
          outcome = Services::Nightly.new(context).call
          @out.puts "Inquiries forgotten: #{outcome.forgotten}."
          return @out.puts "The log is as it was written." unless outcome.broken_at

          @err.puts "hobrin: line #{outcome.broken_at} of the log is not as it was written, or the one before it is missing."
          false
        end
      end
    end
  end
end

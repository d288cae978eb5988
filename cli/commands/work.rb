# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin work
      class Work < Command
        SUMMARY = "Reads the files that wait on the library page; Hobrin starts it by itself"
        USAGE = "[OPTIONS]"
        EXAMPLES = ["hobrin work"].freeze

        private

        def run(*)
          Services::WorkImports.new(context).call || @err.puts("Another process is at it.")
          true
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin library fetch FOLDER
      class LibraryFetch < Command
        SUMMARY = "Takes the library that another server laid out; start Hobrin anew afterwards"
        USAGE = "FOLDER [OPTIONS]"
        EXAMPLES = ["hobrin library fetch /srv/hobrin-library"].freeze

        private

        def run(folder)
          version = Services::PassLibraryOn.new(Pathname(::File.expand_path(folder))).fetch(home)
          @out.puts "#{home}: version #{version}."
        end
      end
    end
  end
end

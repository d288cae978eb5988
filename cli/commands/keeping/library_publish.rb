# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin library publish FOLDER
      class LibraryPublish < Command
        SUMMARY = "Lays the library out in a folder, for other servers to fetch"
        USAGE = "FOLDER [OPTIONS]"
        EXAMPLES = ["hobrin library publish /srv/hobrin-library"].freeze

        private

        def run(folder)
          version = Services::PassLibraryOn.new(Pathname(::File.expand_path(folder))).publish(library!)
          @out.puts "#{folder}: version #{version}."
        end
      end
    end
  end
end

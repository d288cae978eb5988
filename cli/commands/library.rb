# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin library publish and fetch
      module Library
        # hobrin library publish FOLDER
        class Publish < Command
          SUMMARY = "Lays the library out in a folder, for other servers to fetch"
          USAGE = "FOLDER [OPTIONS]"
          EXAMPLES = ["hobrin library publish /srv/hobrin-library"].freeze

          private

          def run(folder)
            version = Services::PassLibraryOn.new(Pathname(::File.expand_path(folder))).publish(library!)
            @out.puts "#{folder}: version #{version}."
          end
        end

        # hobrin library fetch FOLDER
        class Fetch < Command
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
end

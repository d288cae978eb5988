# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin restore FOLDER
      class Restore < Command
        SUMMARY = "Puts a backup into a home that has nothing yet, after reading all of it"
        USAGE = "FOLDER [OPTIONS]"
        EXAMPLES = ["hobrin restore /var/backups/hobrin/2026-11-28 --home new-home"].freeze

        private

        def run(folder)
          Services::Backup.new(Pathname(::File.expand_path(folder))).restore(home)
          @out.puts "#{home}: restored. #{context.inquiries.all.size} inquiries, #{context.library.size} papers."
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin backup FILE
      class Backup < Command
        SUMMARY = "Copies all inquiries with their trails into one SQLite file, also while Hobrin runs"
        USAGE = "FILE [OPTIONS]"
        EXAMPLES = ["hobrin backup inquiries-2026-11-23.sqlite3",
                    "hobrin backup library.sqlite3 --library"].freeze

        private

        def options(parser)
          parser.on("--library",
                    "Copy the library instead, which can also be built again from its files") do
            given[:library] = true
          end
        end

        def run(file)
          (given[:library] ? context.library : context.inquiries).backup(::File.expand_path(file))
          @out.puts "#{file}: #{(::File.size(file) / 1024.0).ceil} KB."
          @out.puts "PDF files kept with papers are in the folder papers beside it: copy that, too." if pdfs?
        end

        def pdfs? = !given[:library] && home.join("papers").directory?
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin backup FOLDER
      class Backup < Command
        SUMMARY = "Copies everything into a folder, also while Hobrin runs, and reads it again"
        USAGE = "FOLDER [OPTIONS]"
        EXAMPLES = ["hobrin backup before-the-move", "hobrin backup --daily 7 /var/backups/hobrin",
                    "hobrin backup inquiries.sqlite3"].freeze

        private

        def options(parser)
          parser.on("--daily COUNT", "One for each day within the folder, of which so many are kept") do |count|
            given[:daily] = whole_number(count, "daily")
          end
          parser.on("--library", "The library alone, as one file") { given[:library] = true }
        end

        def run(place)
          path = Pathname(::File.expand_path(place))
          return alone(place, path) if given[:library] || path.extname == ".sqlite3"

          keeping = Services::KeepBackup.new(context, home)
          folder = given[:daily] ? keeping.daily(path, keep: given[:daily]) : path.tap { keeping.call(path) }
          return @out.puts("Today's is there already.") unless folder

          size = folder.glob("**/*").select(&:file?).sum(&:size)
          @out.puts "#{folder}: #{(size / 1_048_576.0).ceil} MB, read again and whole."
        end

        # One database as a file.
        def alone(name, path)
          (given[:library] ? context.library : context.inquiries).backup(path.to_s)
          @out.puts "#{name}: #{(path.size / 1024.0).ceil} KB."
        end
      end
    end
  end
end

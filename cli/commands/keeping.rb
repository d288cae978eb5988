# frozen_string_literal: true

module Hobrin
  module Cli
    module Commands
      # hobrin backup, restore and nightly
      module Keeping
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

            keeping = Services::Backup::Keep.new(context, home)
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
end

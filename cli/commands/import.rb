# frozen_string_literal: true

require "tempfile"

module Hobrin
  module Cli
    module Commands
      # hobrin import FILE…
      class Import < Command
        SUMMARY = "Reads papers from RIS, BibTeX or CSL-JSON files into the library"
        USAGE = "FILE… [OPTIONS]"
        EXAMPLES = ["hobrin import ward-library.ris", "hobrin import part-1.json part-2.bib --sample",
                    "hobrin import odd-name.txt --from ris"].freeze
        MOST_SHOWN = 10
        private_constant :MOST_SHOWN

        private

        def options(parser)
          formats = Exchange::FORMATS.keys
          parser.on("--from FORMAT", formats,
                    "csl, ris or bibtex, when the file itself does not tell") do |format|
            given[:from] = format
          end
          parser.on("--sample", "The papers are made up; every page and export says so") do
            given[:sample] = true
          end
          parser.separator("\nAn import can be run again: what is there stays.")
          parser.separator("One that was stopped goes on where it stopped.")
        end

        # Gives false when an entry was refused.
        def run(*files)
          files.map { |file| import(file) }.all?
        end

        def import(file)
          outcome = opened(file) { |io| read(io, file) }
          @out.puts "#{file}: #{said(outcome)}. The library has #{context.library.size}."
          complain(file, outcome)
          outcome.refused.zero?
        end

        # What comes through a pipe is kept in a file meanwhile, since it is read twice.
        def opened(file, &)
          return ::File.open(file, "rb", &) unless ::File.pipe?(file) || ::File.chardev?(file)

          Tempfile.create("hobrin-import") do |copy|
            ::File.open(file, "rb") { |io| IO.copy_stream(io, copy) }
            copy.rewind
            yield copy
          end
        end

        def said(outcome)
          parts = ["#{outcome.added} papers added", "#{outcome.known} there already"]
          parts << "#{outcome.duplicates} of them doubles" if outcome.duplicates.positive?
          parts << "#{outcome.refused} entries refused" if outcome.refused.positive?
          parts.join(", ")
        end

        def read(io, file)
          bar = Progress.new(::File.basename(file), total: io.size, err: @err)
          outcome = Services::Imports::ImportRecords.new(context).call(io, format: given[:from], sample: given[:sample] || false, name: ::File.basename(file)) { |_, bytes| bar.at(bytes) }
          context.library.keep_frequent_words
          bar.finish
          @err.puts "#{file}: went on after #{outcome.resumed} entries that were in already." if outcome.resumed.positive?
          outcome
        end

        def complain(file, outcome)
          outcome.refusals.first(MOST_SHOWN).each { |refusal| @err.puts "#{file}: #{refusal}" }
          @err.puts "#{file}: and #{outcome.refused - MOST_SHOWN} more." if outcome.refused > MOST_SHOWN
          return if outcome.strange.empty?

          most = outcome.strange.max_by(MOST_SHOWN, &:last).map(&:first).join(", ")
          @err.puts "#{file}: #{outcome.strange.size} headings are not in the thesaurus, most often #{most}."
        end
      end
    end
  end
end

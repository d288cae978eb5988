# frozen_string_literal: true

require "digest"

module Hobrin
  module Services
    # Reads records from a file into the library, in any of the formats of Exchange. What is there
    # already stays, so an import can be run again; one that was stopped goes on where it stopped.
    class ImportRecords
      # format :: name in Exchange::FORMATS; added, known, duplicates :: numbers of records;
      # refused :: how many entries were not
      # read; refusals :: the first of them, at most MOST_REFUSALS; resumed :: entries that an
      # earlier run had read
      # strange :: Hash of heading that the thesaurus lacks to the number of records that carry it
      class Outcome < Value
        attributes :format, :added, :known, :duplicates, :refused, :refusals, :resumed, :strange
      end

      MOST_REFUSALS = 200
      SAMPLE_BYTES = 4_096
      private_constant :SAMPLE_BYTES

      def initialize(context)
        @context = context
      end

      # io :: an IO that can be rewound, read as bytes; format :: a name of Exchange::FORMATS, or
      #   nil to tell by the file
      # sample :: says that the records are made up; name :: of the file, for the list of imports
      # import :: Store::Imports::Import that was begun already, or nil
      # The block, if any, is told [entries read, bytes read] after each piece; when it gives :stop,
      # no more is read.
      # Raises InputError (:file) when the file is in none of the formats. Gives an Outcome.
      def call(io, format: nil, sample: false, name: "a file", import: nil, &progress)
        format = known!(io, format)
        import ||= begun(io, format, sample, name)
        run = ImportRun.new(@context, import, &progress)
        catch(:stop) do
          ReadAhead.each(io, run.gathering, format:, skip: import.entries) { |piece| run.write(piece) }
          run.finish
        end
        outcome(run, import, format)
      end

      private

      # What came of it, beside what an earlier try did of it.
      def outcome(run, import, format)
        imports = @context.library.imports
        now = imports.find(import.id)
        refused = now.refused - import.refused
        Outcome.new(format:, added: now.added - import.added, known: now.known - import.known,
                    duplicates: now.duplicates - import.duplicates, refused:, resumed: import.entries,
                    refusals: imports.refusals(import.id).last(refused).first(MOST_REFUSALS), strange: run.strange)
      end

      def known!(io, format)
        io.rewind
        sample = io.read(SAMPLE_BYTES).to_s
        raise InputError, { file: "There is nothing in this file." } if sample.strip.empty?

        format ||= Exchange.detect(sample)
        return format.tap { io.rewind } if Exchange::FORMATS.key?(format)

        names = Exchange::FORMATS.values.map { |format| format::NAME }.join(", ")
        raise InputError, { file: "This is in none of the formats that Hobrin reads: #{names}." }
      end

      # The same file goes on where it was stopped.
      def begun(io, format, sample, name)
        digest = digest(io, format)
        imports = @context.library.imports
        imports.unfinished(digest)&.tap { |one| imports.change(one.id, state: "running") } ||
          imports.begin(name:, digest:, format:, size: io.size, sample:, at: @context.now)
      end

      def digest(io, format)
        whole = Digest::SHA256.new
        piece = +""
        whole << piece while io.read(1 << 20, piece)
        io.rewind
        "#{format}:#{whole.hexdigest}"
      end
    end
  end
end

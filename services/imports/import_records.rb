# frozen_string_literal: true

require "digest"

module Hobrin
  module Services
    module Imports
      # Reads records from a file into the library, in any of the formats of Exchange. What is there
      # already stays, so an import can be run again; one that was stopped goes on where it stopped.
      class ImportRecords < Service
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

        # io :: an IO that can be rewound, read as bytes; format :: a name of Exchange::FORMATS, or
        #   nil to tell by the file
        # sample :: says that the records are made up; name :: of the file, for the list of imports
        # import :: Store::Library::Imports::Import that was begun already, or nil
        # The block, if any, is told [entries read, bytes read] after each piece; when it gives :stop,
        # no more is read.
        # Raises InputError (:file) when the file is in none of the formats. Gives an Outcome.
        def call(io, format: nil, sample: false, name: Book.t("errors.imports.file_name"), import: nil, &progress)
          format = known!(io, format)
          import ||= begun(io, format, sample, name)
          run = Run.new(@context, import, &progress)
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
          raise InputError, { file: Book.t("errors.imports.empty") } if sample.strip.empty?

          format ||= Exchange.detect(sample)
          return format.tap { io.rewind } if Exchange::FORMATS.key?(format)

          names = Exchange::FORMATS.values.map { |format| format::NAME }.join(", ")
          raise InputError, { file: Book.t("errors.imports.unknown_format", formats: names) }
        end

        # The same file goes on where it was stopped.
        def begun(io, format, sample, name)
          digest = digest(io, format)
          imports = @context.library.imports
          imports.unfinished(digest)&.tap { |import| imports.change(import.id, state: "running") } ||
            imports.begin(name:, digest:, format:, size: io.size, sample:, at: @context.clock.now)
        end

        def digest(io, format)
          whole = Digest::SHA256.new
          piece = +""
          whole << piece while io.read(1 << 20, piece)
          io.rewind
          "#{format}:#{whole.hexdigest}"
        end

        # One import as it goes: writes pieces, and what came of each.
        class Run
          # A keyword that fewer papers have is not worth matching.
          FEWEST = 2
          # So many keywords that one paper alone had are kept in mind, until a second one has them.
          MOST_RARE = 20_000
          private_constant :FEWEST, :MOST_RARE

          # Headings that the thesaurus lacks: Hash of each to the records that carry it.
          attr_reader :strange

          # import :: Store::Library::Imports::Import; the block, if any, is told [entries, how far] after each
          #   piece; when it gives :stop, no more is read.
          def initialize(context, import, &progress)
            @library = context.library
            @context = context
            @import = import
            @progress = progress
            @strange = Hash.new(0)
            @rare = {}
          end

          # Gathers entries for this run.
          def gathering = Gathering.new(@library.thesaurus, @library.matches.names)

          # piece :: Piece; token :: where to go on, for what has no place. Throws :stop.
          def write(piece, token: nil)
            return if piece.empty? && token.nil?

            # A catalogue calls each of its records by a name of its own; files count from 1.
            @library.add_batch(piece.batch, sample: @import.sample, renew: @import.source_id) do |outcome|
              @library.imports.add(@import.id, outcome, place: piece.place, at_byte: piece.at, token:,
                                                        refusals: piece.refusals, headings: matchable(piece))
            end
            piece.strange.each { |heading, records| @strange[heading] += records }
            throw :stop if @progress&.call(piece.place, piece.at) == :stop
          end

          # message :: what is to be said of it, or nil
          def finish(message = nil) = @library.finish_import(@import, at: @context.clock.now, message:)

          private

          # Names that people may match to a heading: Hash to the records that carry each.
          def matchable(piece)
            counts = piece.keywords.to_h { |name, count| [name, count + (@rare.delete(name) || 0)] }
            rare, frequent = counts.partition { |_, count| count < FEWEST }.map(&:to_h)
            @rare.update(rare)
            @rare.shift while @rare.size > MOST_RARE
            frequent.merge(piece.strange) { |_, one, two| one + two }
          end
        end

        # Gathers entries as they are read, to be written together as a Piece.
        class Gathering
          # thesaurus :: Thesaurus; names :: what people matched, as Exchange::Indexing takes it
          def initialize(thesaurus, names)
            @thesaurus = thesaurus
            @names = names
            clear
          end

          # result :: Records::Record or Exchange::Entry::Refusal
          def take(place, result)
            @place = place
            result.is_a?(Exchange::Entry::Refusal) ? @refusals << result : @records << result
          end

          def empty? = @records.empty? && @refusals.empty?

          # at :: how far the file was read. Gives a Piece of what was taken since the last.
          def piece(at)
            indexing = Exchange::Indexing.new(@thesaurus, matches: @names)
            batch = Store::Library::RecordRows::Batch.of(@records.map { |record| indexing.call(record) })
            # Without their ways of counting, which do not go from one process to another.
            strange, keywords = indexing.strange.to_a.to_h, indexing.keywords.to_a.to_h
            Piece.new(batch, @refusals, strange, keywords, @place, at).tap { clear }
          end

          private

          def clear
            @records = []
            @refusals = []
          end
        end

        # A thousand entries at most of what comes in, read and laid out as the library writes them.
        #
        # batch :: Store::Library::RecordRows::Batch; refusals :: Array of Exchange::Entry::Refusal; strange, keywords :: Hash of
        #   heading, and of keyword, that the thesaurus lacks to the records that carry it
        # place :: of the last entry; at :: how far the file was read
        Piece = Struct.new(:batch, :refusals, :strange, :keywords, :place, :at) do
          def empty? = batch.empty? && refusals.empty?
        end
      end
    end
  end
end

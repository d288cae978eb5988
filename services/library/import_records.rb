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

      BATCH = 4_000
      MOST_REFUSALS = 200
      SAMPLE_BYTES = 4_096
      private_constant :BATCH, :SAMPLE_BYTES

      def initialize(context)
        @context = context
      end

      # io :: an IO that can be rewound, read as bytes; format :: a name of Exchange::FORMATS, or
      #   nil to tell by the file
      # sample :: says that the records are made up
      # The block, if any, is told [entries read, bytes read] after each batch.
      # Raises InputError (:file) when the file is in none of the formats. Gives an Outcome.
      def call(io, format: nil, sample: false, &progress)
        format = known!(io, format)
        run = Run.new(@context, digest: digest(io, format), sample:, progress:, io:)
        Exchange.each(io, format:, skip: run.resumed) { |place, result| run.take(place, result) }
        run.finish(format)
      end

      private

      def known!(io, format)
        io.rewind
        sample = io.read(SAMPLE_BYTES).to_s
        raise InputError, { file: "There is nothing in this file." } if sample.strip.empty?

        format ||= Exchange.detect(sample)
        return format.tap { io.rewind } if Exchange::FORMATS.key?(format)

        names = Exchange::FORMATS.values.map { |one| one::NAME }.join(", ")
        raise InputError, { file: "This is in none of the formats that Hobrin reads: #{names}." }
      end

      def digest(io, format)
        whole = Digest::SHA256.new
        piece = +""
        whole << piece while io.read(1 << 20, piece)
        io.rewind
        "#{format}:#{whole.hexdigest}"
      end

      # One import as it goes: gathers records into batches and counts.
      class Run
        attr_reader :resumed

        def initialize(context, digest:, sample:, progress:, io:)
          @library = context.library
          @indexing = Exchange::Indexing.new(@library.thesaurus)
          @digest = digest
          @sample = sample
          @progress = progress
          @io = io
          @resumed = @library.entries_read(digest)
          @batch = []
          @counts = { added: 0, known: 0, duplicates: 0, refused: 0 }
          @refusals = []
        end

        # result :: Record or Exchange::Refusal
        def take(place, result)
          @place = place
          return refuse(result) if result.is_a?(Exchange::Refusal)

          @batch << [place, @indexing.call(result)]
          write if @batch.size >= BATCH
        end

        def finish(format)
          write if @batch.any? || @counts[:refused].positive?
          @library.finish_import(@digest)
          Outcome.new(format:, **@counts, refusals: @refusals, resumed: @resumed,
                      strange: @indexing.strange)
        end

        private

        def refuse(refusal)
          @counts[:refused] += 1
          @refusals << refusal if @refusals.size < MOST_REFUSALS
        end

        def write
          outcome = @library.add(@batch.map(&:last), sample: @sample, progress: [@digest, @place])
          @counts[:added] += outcome.added.size
          @counts[:known] += outcome.known
          @counts[:duplicates] += outcome.duplicates
          outcome.clashes.each { |record| refuse(clash(record)) }
          @batch = []
          @progress&.call(@place, @io.pos)
        end

        def clash(record)
          place = @batch.find { |_, other| other.equal?(record) }.first
          Exchange::Refusal.new(place:, line: nil,
                                reason: "the id #{record.id} belongs to another paper already")
        end
      end
      private_constant :Run
    end
  end
end

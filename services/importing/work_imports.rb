# frozen_string_literal: true

module Hobrin
  module Services
    # Reads waiting files into the library, one after the other, and gives papers the headings that
    # people matched, until nothing waits. What was cut off goes on where its last batch ended.
    class WorkImports
      SAMPLE_BYTES = 65_536
      private_constant :SAMPLE_BYTES

      def initialize(context)
        @context = context
        @imports = context.library.imports
      end

      # Gives false when another process is at it.
      def call
        @context.incoming.alone do
          while (work = @imports.next_waiting || @context.library.matches.next_waiting)
            work.is_a?(Store::HeadingMatches::Match) ? match(work) : read(work)
            keep_frequent_words
          end
        end
      end

      private

      def read(import)
        @imports.change(import.id, state: "running")
        return fetch(import) if import.source_id

        File.open(@context.incoming.path_of(import.id), "rb") do |io|
          thesaurus?(io) ? headings(import, io) : papers(import, io)
        end
        @context.incoming.forget(import.id) if @imports.find(import.id).state == "done"
      rescue InputError => e
        fail_with(import, e.errors.values.join(" "))
      rescue SystemCallError, UnavailableError => e
        fail_with(import, e.message.sub(/ @ \w+ - .*/, ""))
      rescue GoneError
        fail_with(import, "Its catalogue was taken off the list.")
      rescue StandardError => e
        fail_with(import, "This is a fault of Hobrin's, not of the file (#{e.class}).")
      end

      def fetch(import)
        FetchRecords.new(@context).call(import) { :stop if stopped?(import) }
      end

      def papers(import, io)
        outcome = ImportRecords.new(@context).call(io, import:) { :stop if stopped?(import) }
        @imports.change(import.id, format: outcome.format.to_s)
      end

      # Whether a file holds headings: what speaks of SKOS and is no list of papers.
      def thesaurus?(io)
        sample = io.read(SAMPLE_BYTES).to_s
        io.rewind
        Exchange.detect(sample).nil? && sample.match?(/skos/i) && !Exchange::Skos.detect(sample).nil?
      end

      def headings(import, io)
        outcome = ImportThesaurus.new(@context).skos(io, name: import.name)
        doubts = outcome.warnings.empty? ? "" : " #{outcome.warnings.size} doubts, the first: #{outcome.warnings.first}"
        @imports.change(import.id, state: "done", format: "skos", at_byte: import.size, ended_at: @context.now,
                                   message: "#{outcome.headings} headings, in use from now on.#{doubts}")
      end

      # What fails is not tried for ever.
      def match(match)
        @context.library.apply_match(match)
      rescue StandardError
        @context.library.matches.fail(match)
      end

      # What cannot be kept now is kept after the next import.
      def keep_frequent_words
        @context.library.keep_frequent_words
      rescue UnavailableError
        nil
      end

      def stopped?(import) = @imports.find(import.id).state == "stopped"

      def fail_with(import, words)
        @imports.change(import.id, state: "failed", message: words, ended_at: @context.now)
      end
    end
  end
end

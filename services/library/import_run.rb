# frozen_string_literal: true

module Hobrin
  module Services
    # One import as it goes: gathers records into batches and writes down what came of each.
    class ImportRun
      BATCH = 4_000
      FEWEST = 2
      private_constant :BATCH, :FEWEST

      # import :: Store::Imports::Import; progress :: told [entries, position] after each batch; when it
      #   gives :stop, no more is read. The block gives how far what is read was read, as a number.
      def initialize(context, import, progress: nil, &position)
        @library = context.library
        @context = context
        @indexing = Exchange::Indexing.new(@library.thesaurus, matches: @library.matches.names)
        @import = import
        @progress = progress
        @position = position
        @batch = []
        @refusals = []
        @met = {}
      end

      # Headings that the thesaurus lacks: Hash of each to the records that carry it.
      def strange = @indexing.strange

      # result :: Record or Exchange::Refusal
      def take(place, result)
        @place = place
        return @refusals << result if result.is_a?(Exchange::Refusal)

        @batch << @indexing.call(result)
        write if @batch.size >= BATCH
      end

      # Writes what was taken so far. token :: where to go on, for what has no place
      def write(token: nil)
        @library.add(@batch, sample: @import.sample) do |outcome|
          @library.imports.add(@import.id, outcome, place: @place, at_byte: @position.call,
                                                    refusals: @refusals, token:,
                                                    headings: fresh_headings)
        end
        @batch = []
        @refusals = []
        throw :stop if @progress&.call(@place, @position.call) == :stop
      end

      def finish
        write if @batch.any? || @refusals.any?
        @library.finish_import(@import, at: @context.now)
      end

      private

      # Headings that were met since the last batch, and keywords that more than one paper has.
      def fresh_headings
        headings, keywords = since(:strange), since(:keywords)
        keywords.select { |_, count| count >= FEWEST }.merge(headings) { |_, one, two| one + two }
      end

      def since(list)
        now = @indexing.public_send(list).dup
        before, @met[list] = @met.fetch(list, {}), now
        now.to_h { |name, count| [name, count - before.fetch(name, 0)] }
           .select { |_, count| count.positive? }
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # One import as it goes: writes pieces, and what came of each.
    class ImportRun
      # A keyword that fewer papers have is not worth matching.
      FEWEST = 2
      # So many keywords that one paper alone had are kept in mind, until a second one has them.
      MOST_RARE = 20_000
      private_constant :FEWEST, :MOST_RARE

      # Headings that the thesaurus lacks: Hash of each to the records that carry it.
      attr_reader :strange

      # import :: Store::Imports::Import; the block, if any, is told [entries, how far] after each
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
      def finish(message = nil) = @library.finish_import(@import, at: @context.now, message:)

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
  end
end

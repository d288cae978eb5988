# frozen_string_literal: true

module Hobrin
  module Services
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
        batch = Store::Batch.of(@records.map { |record| indexing.call(record) })
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
  end
end

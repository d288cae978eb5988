# frozen_string_literal: true

module Hobrin
  module Services
    # A thousand entries at most of what comes in, read and laid out as the library writes them.
    #
    # batch :: Store::Batch; refusals :: Array of Exchange::Entry::Refusal; strange, keywords :: Hash of
    #   heading, and of keyword, that the thesaurus lacks to the records that carry it
    # place :: of the last entry; at :: how far the file was read
    Piece = Struct.new(:batch, :refusals, :strange, :keywords, :place, :at) do
      def empty? = batch.empty? && refusals.empty?
    end
  end
end

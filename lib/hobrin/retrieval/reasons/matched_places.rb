# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Where in a text the words of a search stand, so that a reader sees why a paper is here.
    #
    #   MatchedPlaces.new("P" => [TextTerm.read("earplug*")]).call("Earplugs help", :title) # => [[0, 8, "P"]]
    class MatchedPlaces
      # leaves_by_key :: Hash of an element's key to its leaves; those that are read in no text (an
      #   author, a journal, a heading) mark nothing
      def initialize(leaves_by_key)
        @words = leaves_by_key.flat_map { |key, leaves| leaves.map { |leaf| [key, leaf] } }
                              .select { |_, leaf| TextPlaces::READ.include?(leaf.class) }
      end

      # text :: a record's text; field :: :title, :abstract or :keywords.
      # Gives [first character, one past the last, key], in order and without overlaps.
      def call(text, field)
        found = @words.flat_map do |key, leaf|
          leaf.fields.include?(field) ? TextPlaces.of(leaf, text).map { |from, to| [from, to, key] } : []
        end
        without_overlaps(found.sort_by { |from, to, _| [from, -to] })
      end

      private

      def without_overlaps(found)
        found.each_with_object([]) do |place, kept|
          kept << place if kept.empty? || place[0] >= kept.last[1]
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Thesaurus
    # Headings that are near a phrase by the words of their names: a name and a phrase are as near
    # as the share of words that they have in common (Dice 1945: twice the common ones over all of
    # both), endings left off.
    class NearNames
      # heading :: the Heading; name :: of it, that is near; near :: 0 to 1
      class Near < Value
        attributes :heading, :name, :near
      end

      LEAST = 0.5
      private_constant :LEAST

      # headings :: Array of Heading
      def initialize(headings)
        @names = headings.flat_map { |heading| heading.names.map { |name| [heading, name, roots(Text::Tokens.of(name))] } }
        @places = Hash.new { |all, root| all[root] = [] }
        @names.each_with_index do |(_, _, roots), place|
          roots.each { |root| @places[root] << place }
        end
        @places.default = [].freeze
        freeze
      end

      # words :: folded words that carry a phrase. Gives an Array of Near, one for each heading, the
      # nearest first; none that is less than half alike.
      def call(words, limit:)
        wanted = roots(words)
        found = wanted.flat_map { |root| @places[root] }.tally.filter_map do |place, common|
          heading, name, roots = @names[place]
          near = 2.0 * common / (roots.size + wanted.size)
          Near.new(heading:, name:, near:) if near >= LEAST
        end
        found.sort_by { |near| [-near.near, near.name.size, near.name] }.uniq(&:heading).first(limit)
      end

      private

      def roots(words)
        (words - Reading::EMPTY).map { |word| Text::Variants.root(Text::Variants.stem(word)) }.uniq
      end
    end
  end
end

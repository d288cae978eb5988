# frozen_string_literal: true

module Hobrin
  module Catalogue
    # What a catalogue can do, as its explain record tells. What it does not say, it cannot.
    #
    # title, about :: its own words; version :: "1.2" or "2.0"
    # indexes   :: Hash of an index, with its set ("dc.title"), to the relations that it takes beyond
    #   the equals sign
    # modifiers :: of relations, such as "hobrin.narrower"; masks :: of "*" and "?"
    # near      :: whether words can be asked for near each other
    # schemas   :: short names of the formats that it gives; most :: records in one answer, or nil
    class Ability < Value
      attributes :title, :about, :version, :indexes, :modifiers, :masks, :near, :schemas, :most

      ANYWHERE = %w[cql.anywhere cql.anyindexes cql.serverchoice].freeze
      private_constant :ANYWHERE

      # The least that a catalogue can do: one word, anywhere.
      LEAST = new(title: "", about: "", version: "1.2", indexes: {}, modifiers: [], masks: [],
                  near: false, schemas: [], most: nil)

      def index?(name) = indexes.key?(name.downcase)

      # Whether an index takes a relation.
      def relation?(index, relation)
        relation == "=" || indexes.fetch(index.to_s.downcase, []).include?(relation)
      end

      def modifier?(name) = modifiers.include?(name)

      # The index for words anywhere, or nil where a word stands alone.
      def anywhere = ANYWHERE.find { |name| index?(name) }

      # The best of the formats that it gives and that are read here; nil for none.
      def schema = FORMATS.keys.find { |name| schemas.include?(name) }
    end
  end
end

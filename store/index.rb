# frozen_string_literal: true

module Hobrin
  module Store
    # Answers the leaves of a strategy from SQLite: words by FTS5, everything else from stored sets.
    # Keeps the contract of Hobrin::Retrieval.
    class Index
      COLUMNS = { title: "title", abstract: "abstract", keywords: "keywords" }.freeze
      private_constant :COLUMNS

      def initialize(db)
        @db = db
      end

      def everything = facet(:all, "all")
      def not_indexed = facet(:unindexed, "yes")
      def unstated(limit) = facet(:unstated, limit)

      # leaf :: Strategy::Words. Its tokens are letters and digits only and stand in quotation marks, so
      # nothing that a person types is read as full-text syntax.
      def words(leaf)
        phrase = "\"#{leaf.tokens.join(" ")}\"#{" *" if leaf.truncated?}"
        columns = leaf.fields.map { |field| COLUMNS.fetch(field) }.join(" ")
        found = @db[:texts].where(Sequel.lit("texts MATCH ?", "{#{columns}} : #{phrase}"))
        Records::RecordSet.of(found.select_map(:rowid))
      end

      def heading(label, main) = facet(main ? :main : :heading, label)

      def facet(name, value)
        stored = @db[:facets].where(name: name.to_s, value: value.to_s).get(:records)
        stored ? Records::RecordSet.load(stored) : Records::RecordSet.empty
      end

      def years = @db[:facets].where(name: "year").select_map(:value).map(&:to_i).sort
    end
  end
end

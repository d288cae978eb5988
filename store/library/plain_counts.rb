# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Counts what a tree finds with one SQL statement for each count, over the same full text and
      # over a table with a row for each facet value of each record: the plain way, which the engine
      # is measured against.
      class PlainCounts < Base
        # db :: a library; its table for this is made anew. thesaurus :: Thesaurus
        def initialize(db, thesaurus)
          super(db)
          @thesaurus = thesaurus
          fill
        end

        # A tree of TextTerm, Heading, Limit, Dates, AnyOf, AllOf and Except in; the number of records
        # out.
        def call(tree)
          @values = []
          sql = "SELECT count(*) AS count FROM (#{set(tree)})"
          @db.fetch(sql, *@values).get(:count)
        end

        private

        def fill
          @db.drop_table?(:plain_facets)
          @db.run("CREATE TABLE plain_facets (name TEXT, value TEXT, number INTEGER, " \
                  "PRIMARY KEY (name, value, number)) WITHOUT ROWID")
          facets = FacetSets.new(@db)
          @db.transaction do
            %i[heading main type age sex species flag language place dates year].each do |name|
              facets.all(name).sort.each { |value, set| insert(name, value, set) }
            end
          end
        end

        def insert(name, value, set)
          @db.run(Sequel.lit("INSERT INTO plain_facets SELECT ?, ?, value FROM json_each(?)", name.to_s, value,
                             JSON.generate(set.to_a)))
        end

        # A SELECT of record numbers. Words of one OR that look in the same fields share one full-text
        # query.
        def set(tree)
          case tree
          when Strategy::AnyOf then any_of(tree.parts)
          when Strategy::AllOf then joined(tree.parts, "INTERSECT")
          when Strategy::Except then joined([tree.kept, tree.excluded], "EXCEPT")
          when Strategy::TextTerm then words([tree])
          when Strategy::Heading then heading(tree)
          when Strategy::Limit then facet(tree.name.to_s, tree.values)
          when Strategy::Dates then facet("year", (tree.from_year..tree.to_year).map(&:to_s))
          end
        end

        def any_of(parts)
          texts, others = parts.partition { |part| part.is_a?(Strategy::TextTerm) }
          selects = texts.group_by(&:fields).values.map { |same| words(same) }
          [*selects, *others.map { |part| "SELECT * FROM (#{set(part)})" }].join(" UNION ")
        end

        def heading(leaf)
          facet(leaf.main ? "main" : "heading",
                leaf.narrower ? @thesaurus.with_narrower(leaf.label) : [leaf.label])
        end

        def joined(parts, operator)
          parts.map { |part| "SELECT * FROM (#{set(part)})" }.join(" #{operator} ")
        end

        def words(leaves)
          phrases = leaves.map do |leaf|
            "\"#{leaf.text.delete_suffix("*")}\"#{" *" if leaf.text.end_with?("*")}"
          end
          @values << "{#{leaves.first.fields.join(" ")}} : (#{phrases.join(" OR ")})"
          "SELECT rowid AS number FROM texts WHERE texts MATCH ?"
        end

        def facet(name, values)
          @values.push(name, *values)
          "SELECT DISTINCT number FROM plain_facets WHERE name = ? AND value IN (#{(["?"] * values.size).join(", ")})"
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    # Which heading of the thesaurus a name from outside stands for, as a person said.
    class HeadingMatches
      # state :: "waiting" until the papers that are here carry the heading, then "done"
      class Match < Value
        attributes :name, :label, :state

        def waiting? = state == "waiting"
      end

      # So many records are written anew at once.
      TOGETHER = 5_000
      private_constant :TOGETHER

      def initialize(db)
        @db = db
      end

      # In the order of their names.
      def all = @db[:heading_matches].order(:name).map { |row| Match.new(**row) }

      # Hash of each name, folded, to its heading, for Exchange::Indexing.
      def names
        @db[:heading_matches].select_hash(:name,
                                          :label).transform_keys { |name| Text::Tokens.line(name) }
      end

      def write(name, label)
        replacing = { label:, state: "waiting" }
        Trouble.told do
          @db[:heading_matches].insert_conflict(target: :name, update: replacing).insert(name:,
                                                                                         **replacing)
        end
      end

      # The next whose papers wait, or nil.
      def next_waiting
        @db[:heading_matches].where(state: "waiting").order(:name).first.then do |row|
          row && Match.new(**row)
        end
      end

      # Writes the papers that may carry a name anew, as the block gives them; called within a
      # transaction. Gives how many changed.
      def apply(match, &)
        changed = carrying(match.name).each_slice(TOGETHER).sum { |numbers| Rewriting.new(@db).call(numbers, &) }
        FacetSets.new(@db).join
        @db[:heading_matches].where(name: match.name, label: match.label).update(state: "done")
        changed
      end

      # Says that it could not be done.
      def fail(match)
        Trouble.told { @db[:heading_matches].where(name: match.name).update(state: "failed") }
      end

      # The numbers of the records that may carry a name, among keywords or headings.
      def carrying(name)
        words = Text::Tokens.line(name)
        return [] if words.empty?

        phrase = "{keywords headings} : \"#{words}\""
        @db[:texts].where(Sequel.lit("texts MATCH ?", phrase)).order(:rowid).select_map(:rowid)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Which heading of the thesaurus a name from outside stands for, as a person said.
      class HeadingMatches < Base
        # state :: "waiting" until the papers that are here carry the heading, then "done"; "going"
        #   until they carry the name again
        class Match < Value
          attributes :name, :label, :state

          def waiting? = WAITING.include?(state)
          def going? = state == "going"
        end

        WAITING = %w[waiting going].freeze

        # So many records are written anew at once.
        TOGETHER = 5_000
        private_constant :TOGETHER

        # In the order of their names.
        def all = @db[:heading_matches].order(:name).map { |row| Match.new(**row) }

        # Hash of each name, folded, to its heading, for Exchange::Indexing.
        def names
          @db[:heading_matches].exclude(state: "going").select_hash(:name, :label)
                               .transform_keys { |name| Text::Tokens.line(name) }
        end

        def write(name, label)
          replacing = { label:, state: "waiting" }
          Database::Trouble.told do
            @db[:heading_matches].insert_conflict(target: :name, update: replacing).insert(name:,
                                                                                           **replacing)
          end
        end

        # Says that a name stands for nothing any more. Gives whether it did.
        def let_go(name)
          Database::Trouble.told { @db[:heading_matches].where(name:).update(state: "going") == 1 }
        end

        # The next whose papers wait, or nil.
        def next_waiting
          @db[:heading_matches].where(state: WAITING).order(:name).first.then { |row| row && Match.new(**row) }
        end

        # Writes the papers that may carry a name, or of one that goes its heading, anew, as the block
        # gives them; called within a transaction. Gives how many changed.
        def apply(match)
          numbers = carrying(match.going? ? match.label : match.name)
          changed = numbers.each_slice(TOGETHER).sum do |some|
            Rewriting.new(@db).call(some) do |record|
              yield match.going? ? Exchange::Indexing.without(record, match.name) : record
            end
          end
          FacetSets.new(@db).join
          same = @db[:heading_matches].where(**match.to_h)
          match.going? ? same.delete : same.update(state: "done")
          changed
        end

        # Says that it could not be done.
        def fail(match)
          Database::Trouble.told { @db[:heading_matches].where(name: match.name).update(state: "failed") }
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
end

# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # The records of the library with the time at which each came in or went, by number, for who
      # harvests it.
      class Harvest < Base
        # number, id :: of the record; at :: ISO 8601 in UTC; gone :: whether it is there no more
        class Entry < Value
          attributes :number, :id, :at, :gone
        end

        # What came in before imports were written down has no time of its own.
        BEFORE = "2000-01-01T00:00:00Z"
        private_constant :BEFORE

        # So many entries after a number, the first first. from, till :: ISO 8601 or nil, both
        #   included
        def entries(after:, limit:, from: nil, till: nil)
          all = between(there.union(went_away, all: true, from_self: true), from, till)
          all.where { number > after }.order(:number).limit(limit).map { |row| Entry.new(**row, gone: row[:gone] == 1) }
        end

        # The entry of one id, or nil.
        def find(id)
          row = there.union(went_away, all: true, from_self: true).where(id:).order(:gone).first
          row && Entry.new(**row, gone: row[:gone] == 1)
        end

        # Hash of each of these numbers to the time at which its record came in.
        def times(numbers)
          there.where(Database::Membership.of(:number, numbers)).to_h { |row| row.values_at(:number, :at) }
        end

        # The first time of any.
        def earliest = @db[:imports].min(:begun_at) || BEFORE

        # Writes down that records go; called before they do.
        def went(range, at)
          @db[:gone].insert_conflict.insert(%i[number id at],
                                            @db[:records].where(number: range).select(:number, :id,
                                                                                      Sequel.as(at,
                                                                                                :at)))
        end

        private

        def there
          number, parts = Sequel[:records][:number], Sequel[:import_parts]
          brought = @db[:imports].join(:import_parts, import_id: :id)
          begun = brought.where((parts[:first] <= number) & (parts[:last] >= number)).select(:begun_at).limit(1)
          @db[:records].select(:number, :id, Sequel.function(:coalesce, begun, BEFORE).as(:at),
                               Sequel.as(0, :gone))
        end

        def went_away = @db[:gone].select(:number, :id, :at, Sequel.as(1, :gone))

        def between(entries, from, till)
          entries = entries.where { at >= from } if from
          entries = entries.where { at <= till } if till
          entries
        end
      end
    end
  end
end

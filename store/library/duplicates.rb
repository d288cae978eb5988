# frozen_string_literal: true

module Hobrin
  module Store
    # Links records that are the same paper, by Records::DuplicateKey: each to the one that came
    # first. Nothing is merged or hidden.
    class Duplicates
      def initialize(db)
        @db = db
      end

      # numbers :: of records that just went in, in order. Gives how many of them were linked.
      def link(numbers)
        return 0 if numbers.empty?

        new = @db[:records].where(number: numbers.first..numbers.last)
        by_doi = first_with(new, :doi)
        by_key = first_with(new, :duplicate_key) do |twin|
          twin.where(Sequel.|({ Sequel[:one][:doi] => nil }, { Sequel[:two][:doi] => nil }))
        end
        by_key.merge(by_doi).sort.count { |number, earlier| linked?(number, leader(earlier)) }
      end

      # Hash of number to the number of the first record of the same paper, for those of a set that
      # are duplicates.
      def within(set)
        @db[:records].exclude(duplicate_of: nil).where(Membership.of(:number, set.to_a)).select_hash(
          :number, :duplicate_of
        )
      end

      # Of a set, the records that some other record is the same paper as, wherever that one stands.
      def twins(set)
        later = within(set)
        firsts = @db[:records].where(Membership.of(:duplicate_of, set.to_a)).distinct.select_map(:duplicate_of)
        Records::RecordSet.of((later.keys + firsts).uniq)
      end

      # Pairs of numbers that are linked: [[first, number], …], at most `limit`, those after
      # `after`.
      def pairs(limit:, after: 0)
        linked = @db[:records].exclude(duplicate_of: nil).where { number > after }
        linked.order(:number).limit(limit).select_map(%i[duplicate_of number])
      end

      # Pairs that a person said to be two papers.
      def parted(limit:) = @db[:apart].order(:one, :two).limit(limit).select_map(%i[one two])

      # Says that a record is not the same paper as the first of its group. Raises GoneError.
      def part(number)
        writing do
          first = @db[:records].where(number:).get(:duplicate_of) or raise GoneError, "double"
          @db[:apart].insert_conflict.insert(one: [first, number].min, two: [first, number].max)
          @db[:records].where(number:).update(duplicate_of: nil)
        end
      end

      # Says that two that were parted are the same after all. Raises GoneError.
      def join(one, two)
        writing do
          raise GoneError, "double" if @db[:apart].where(one:, two:).delete.zero?

          @db[:records].where(number: two).update(duplicate_of: leader(one))
        end
      end

      # How many records are the same paper as an earlier one.
      def count = @db[:records].exclude(duplicate_of: nil).count

      private

      # Hash of each new number to the first earlier one with the same value in a column.
      def first_with(new, column)
        pairs = @db.from(new.as(:one)).join(Sequel[:records].as(:two),
                                            { column => column }) do |two, one|
          Sequel[two][:number] < Sequel[one][:number]
        end
        pairs = yield(pairs) if block_given?
        first = Sequel.function(:min, Sequel[:two][:number]).as(:first)
        pairs.group(Sequel[:one][:number]).select_hash(Sequel[:one][:number], first)
      end

      def linked?(number, first)
        !apart?(number, first) && @db[:records].where(number:).update(duplicate_of: first)
      end

      # Two different DOIs say that they are two papers, though a third record without one looks
      # like both.
      def apart?(*numbers)
        return true unless @db[:apart].where(one: numbers.min, two: numbers.max).empty?

        @db[:records].where(number: numbers).exclude(doi: nil).distinct.select_map(:doi).size > 1
      end

      def writing(&) = Trouble.writing(@db, &)

      def leader(number) = @db[:records].where(number:).get(:duplicate_of) || number
    end
  end
end

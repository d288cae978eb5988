# frozen_string_literal: true

module Hobrin
  module Store
    # Links records that are the same paper, by Records::DuplicateKey: each to the one that came
    # first. Nothing is merged or hidden.
    class Duplicates
      def initialize(db)
        @db = db
      end

      # numbered :: Array of [number, Record] that just went in. Gives how many of them were linked.
      def link(numbered)
        return 0 if numbered.empty?

        new = @db[:records].where(number: numbered.first.first..numbered.last.first)
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
        @db[:records].where(number: numbers).exclude(doi: nil).distinct.select_map(:doi).size > 1
      end

      def leader(number) = @db[:records].where(number:).get(:duplicate_of) || number
    end
  end
end

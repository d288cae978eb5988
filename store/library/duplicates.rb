# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Links records that are the same paper, each to the one that came first: those with one DOI,
      # and of those with one Records::SamePaper::DuplicateKey the ones that Records::SamePaper takes for one.
      # Nothing is merged or hidden.
      class Duplicates < Base
        # Of the papers that share a key, so many are compared.
        MOST_COMPARED = 20
        BATCH = 1_000
        private_constant :MOST_COMPARED, :BATCH

        # numbers :: of records that just went in, in order. Gives how many of them were linked.
        def link(numbers)
          return 0 if numbers.empty?

          new = @db[:records].where(number: numbers.first..numbers.last)
          by_doi = first_with(new, :doi)
          by_key(new, by_doi).merge(by_doi).sort.count { |number, earlier| linked?(number, leader(earlier)) }
        end

        # Hash of number to the number of the first record of the same paper, for those of a set that
        # are duplicates.
        def within(set)
          @db[:records].exclude(duplicate_of: nil).where(Database::Membership.of(:number, set.to_a)).select_hash(
            :number, :duplicate_of
          )
        end

        # Of a set, the records that some other record is the same paper as, wherever that one stands.
        def twins(set)
          later = within(set)
          firsts = @db[:records].where(Database::Membership.of(:duplicate_of, set.to_a)).distinct.select_map(:duplicate_of)
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

        # Writes the key of every record anew.
        def renew_keys
          at = 0
          while (rows = @db[:records].where { number > at }.order(:number).limit(BATCH).select_map(%i[number csl])).any?
            rows.each do |number, csl|
              key = Records::SamePaper::DuplicateKey.key(Exchange::CslJson::Reader.kept(JSON.parse(csl, freeze: true)))
              @db[:records].where(number:).update(duplicate_key: key)
            end
            at = rows.last.first
          end
        end

        # How many records are the same paper as an earlier one.
        def count = @db[:records].exclude(duplicate_of: nil).count

        private

        # Hash of each new number to the first earlier one with the same value in a column.
        def first_with(new, column)
          first = Sequel.function(:min, Sequel[:two][:number]).as(:first)
          earlier(new, column).group(Sequel[:one][:number]).select_hash(Sequel[:one][:number], first)
        end

        def earlier(new, column)
          @db.from(new.as(:one)).join(Sequel[:records].as(:two), { column => column }) do |two, one|
            Sequel[two][:number] < Sequel[one][:number]
          end
        end

        # Hash of each new number to the first earlier one with its key that is the same paper.
        # known :: those that are linked already
        def by_key(new, known)
          pairs = earlier(new, :duplicate_key).where(Sequel.|({ Sequel[:one][:doi] => nil }, { Sequel[:two][:doi] => nil }))
                                              .order(Sequel[:two][:number])
                                              .select_map([Sequel[:one][:number], Sequel[:two][:number].as(:two)])
          candidates = pairs.reject { |number, _| known.key?(number) }.group_by(&:first)
                            .transform_values { |some| some.first(MOST_COMPARED).map(&:last) }
          records = read(candidates.to_a.flatten.uniq)
          candidates.filter_map do |number, others|
            same = others.find { |other| Records::SamePaper.call(records.fetch(number), records.fetch(other)) }
            [number, same] if same
          end.to_h
        end

        # Hash of number to Record.
        def read(numbers)
          @db[:records].where(Database::Membership.of(:number, numbers)).select_hash(:number, :csl).transform_values do |csl|
            Exchange::CslJson::Reader.kept(JSON.parse(csl, freeze: true))
          end
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

        def leader(number) = @db[:records].where(number:).get(:duplicate_of) || number
      end
    end
  end
end

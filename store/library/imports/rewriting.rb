# frozen_string_literal: true

module Hobrin
  module Store
    # Writes records anew under their own numbers, with all that they are looked up by, when what is
    # known of them changes.
    class Rewriting
      def initialize(db)
        @db = db
      end

      # numbers :: of records. The block is given each Record and gives the one in its place.
      # Gives how many changed.
      def call(numbers)
        rows = @db[:records].where(Membership.of(:number, numbers)).order(:number).select_map(%i[number csl])
        changed = rows.filter_map do |number, csl|
          before = Exchange::CslJson::Reader.kept(JSON.parse(csl, freeze: true))
          after = yield before
          [number, before, after] unless after == before
        end
        write(changed) if changed.any?
        changed.size
      end

      private

      def write(changed)
        batch = Batch.of(changed.map(&:last))
        numbers = changed.each_with_index.to_h { |(number, *), place| [place, number] }
        Removal.new(@db).forget_words(changed.map { |number, before, _| [number, before] })
        FrequentWords.new(@db).rewritten(changed)
        @db[:citations].where(number: numbers.values).delete
        [WordRows, Citations].each { |table| table.new(@db).add(batch, numbers) }
        numbers.each { |place, number| update(number, *batch.rows[place]) }
        FacetSets.new(@db).remove(Records::RecordSet.of(numbers.values))
        FacetSets.new(@db).add_anew(batch, numbers)
      end

      def update(number, published, doi, duplicate_key, csl)
        @db[:records].where(number:).update(published:, doi:, duplicate_key:, csl:)
      end
    end
  end
end

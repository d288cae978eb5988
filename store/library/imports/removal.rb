# frozen_string_literal: true

module Hobrin
  module Store
    # Takes records out of the library again, with all that is looked up in: words, authors,
    # citations, stored sets. Their numbers are never given to others.
    class Removal
      BATCH = 2_000
      # The full text holds no texts, so it is told what went in.
      WORDS = "INSERT INTO texts (texts, rowid, title, abstract, keywords, headings) VALUES ('delete', ?, ?, ?, ?, ?)"
      private_constant :BATCH, :WORDS

      def initialize(db)
        @db = db
      end

      # ranges :: Array of Ranges of numbers; at :: ISO 8601. Gives how many records went.
      def call(ranges, at:)
        ranges.each { |range| Harvest.new(@db).went(range, at) }
        gone = ranges.sum { |range| words(range) }
        ranges.each { |range| rows(range) }
        FacetSets.new(@db).remove(Records::RecordSet.of(ranges.flat_map(&:to_a)))
        gone
      end

      # Takes the words and authors of records out, as they went in. numbered :: Array of [number,
      #   Records::Record]
      def forget_words(numbered)
        @db.synchronize do |connection|
          Rows.write(connection, WORDS, numbered) do |number, record|
            [number, *FullText.columns(record)]
          end
        end
        @db[:authors].where(Membership.of(:number, numbered.map(&:first))).delete
      end

      private

      def words(range)
        range.each_slice(BATCH).sum do |numbers|
          rows = @db[:records].where(number: numbers.first..numbers.last).select_map(%i[number csl])
          forget_words(rows.map { |number, csl| [number, Exchange::CslJson::Reader.kept(JSON.parse(csl, freeze: true))] })
          rows.size
        end
      end

      def rows(range)
        %i[records citations].each { |table| @db[table].where(number: range).delete }
        relink(range)
      end

      # Papers whose first record went are linked to the next of them.
      def relink(range)
        groups = @db[:records].where(duplicate_of: range).order(:number).select_map(%i[duplicate_of
                                                                                       number]).group_by(&:first)
        groups.each_value do |pairs|
          first, *others = pairs.map(&:last)
          @db[:records].where(number: first).update(duplicate_of: nil)
          @db[:records].where(number: others).update(duplicate_of: first)
        end
      end
    end
  end
end

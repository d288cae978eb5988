# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Writes records anew under their own numbers, with all that they are looked up by, when what is
      # known of them changes.
      class Rewriting < Base
        # numbers :: of records. The block is given each Record and gives the one in its place.
        # Gives how many changed.
        def call(numbers)
          rows = @db[:records].where(Database::Membership.of(:number, numbers)).order(:number).select_map(%i[number csl])
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
          batch = RecordRows::Batch.of(changed.map(&:last))
          numbers = changed.each_with_index.to_h { |(number, *), place| [place, number] }
          Removal.new(@db).forget_words(changed.map { |number, before, _| [number, before] })
          FrequentWords.new(@db).rewritten(changed)
          @db[:citations].where(number: numbers.values).delete
          [RecordRows::WordRows, Nearness::Citations].each { |table| table.new(@db).add(batch, numbers) }
          numbers.each { |place, number| update(number, *batch.rows[place]) }
          FacetSets.new(@db).remove(Records::RecordSet.of(numbers.values))
          FacetSets.new(@db).add_anew(batch, numbers)
        end

        def update(number, published, doi, duplicate_key, csl)
          @db[:records].where(number:).update(published:, doi:, duplicate_key:, csl:)
        end

        # Writes records anew that their catalogue has changed since they came in. The day on which they
        # came stays.
        class Renewal < Base
          # batch :: Batch of records as they are now, each known by its id. Gives how many changed.
          def call(batch)
            places = batch.ids.each_with_index.to_h
            numbers = @db[:records].where(Database::Membership.of(:id, batch.ids)).select_map(:number)
            Rewriting.new(@db).call(numbers) do |before|
              batch.record(places.fetch(before.id)).with(added: before.added)
            end
          end
        end

        # Takes records out of the library again, with all that is looked up in: words, authors,
        # citations, stored sets. Their numbers are never given to others.
        class Removal < Base
          BATCH = 2_000
          # The full text holds no texts, so it is told what went in.
          WORDS = "INSERT INTO texts (texts, rowid, title, abstract, keywords, headings) VALUES ('delete', ?, ?, ?, ?, ?)"
          private_constant :BATCH, :WORDS

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
              Database::Rows.write(connection, WORDS, numbered) do |number, record|
                [number, *FullText.columns(record)]
              end
            end
            @db[:authors].where(Database::Membership.of(:number, numbered.map(&:first))).delete
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
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Writes records: the row, the full text, the authors, and the stored set of each facet value;
      # and finds out which are the same paper as one that is there.
      class RecordRows < Base
        # added :: Array of the numbers of those that went in; known_ids :: of those that were there
        #   already; known :: how many times one of them was met
        # duplicates :: of the added, how many are the same paper as an earlier one
        class Outcome < Value
          attributes :added, :known, :duplicates, :known_ids
        end

        INSERT = "INSERT INTO records (number, id, published, doi, duplicate_key, csl) VALUES (?, ?, ?, ?, ?, ?)"
        private_constant :INSERT

        # batch :: Batch. A record whose id is there is left as it is; where that is another paper's,
        # since many files count from 1, it gets an id of its own. Gives an Outcome.
        def add(batch)
          fresh, again, others = sorted(batch)
          apart = Batch.of(others.map { |place| apart(batch.record(place)) })
          more, once_more, = sorted(apart)
          added = write(batch, fresh) + write(apart, more)
          known = batch.ids.values_at(*again) + apart.ids.values_at(*once_more)
          Outcome.new(added:, known: known.size, known_ids: known.uniq, duplicates: Duplicates.new(@db).link(added))
        end

        private

        def apart(record) = record.with(id: Exchange::Entry::Identity.apart(record))

        # A number is given once, also when its record was taken out again.
        def next_number
          [@db[:records].max(:number), @db[:versions].max(:highest)].compact.max.to_i + 1
        end

        # The places of [those that are new, those that are there, those whose id is another paper's].
        def sorted(batch)
          there = titles(batch.ids)
          fresh, others = batch.ids.each_index.partition do |place|
            !there.key?(batch.ids[place]) && there[batch.ids[place]] = batch.titles[place]
          end
          [fresh, *others.partition { |place| there[batch.ids[place]] == batch.titles[place] }]
        end

        # Hash of id to folded title for those of the ids that are there.
        def titles(ids)
          @db[:records].where(Database::Membership.of(:id, ids))
                       .select_hash(:id, Sequel.lit("csl ->> '$.title'").as(:title))
                       .transform_values { |title| Text::Tokens.line(title) }
        end

        # Writes the records at some places. Gives their numbers.
        def write(batch, places)
          return [] if places.empty?

          first = next_number
          numbers = places.each_with_index.to_h { |place, after| [place, first + after] }
          @db.synchronize do |connection|
            Database::Rows.write(connection, INSERT, numbers) do |place, number|
              [number, batch.ids[place], *batch.rows[place]]
            end
          end
          [WordRows, Nearness::Citations, FacetSets].each { |table| table.new(@db).add(batch, numbers) }
          numbers.values
        end

        # Records laid out as what the library writes of them. That is the greater part of the work of
        # an import and needs no database, so that another process can do it. Of each record, by its
        # place in the batch from 0:
        #
        # ids, titles :: Strings, titles folded; rows :: Arrays of what the table of records has behind
        #   number and id; texts :: Arrays of FullText.columns; authors :: Arrays of [family, initials],
        #   folded; cites :: Arrays of ids
        # facets :: Hash of facet name to a Hash of each value to the places of the records that have it
        Batch = Struct.new(:ids, :titles, :rows, :texts, :authors, :cites, :facets) do
          # records :: Array of Records::Record
          def self.of(records)
            new(records.map(&:id), records.map { |record| Text::Tokens.line(record.title) },
                records.map { |record| row(record) }, records.map { |record| FullText.columns(record) },
                authors(records), records.map(&:cites), facets(records))
          end

          def self.row(record)
            [record.published, Records::SamePaper::DuplicateKey.doi(record), Records::SamePaper::DuplicateKey.key(record),
             JSON.generate(Exchange::CslJson::Writer.item(record))]
          end

          # The same names come again and again.
          def self.authors(records)
            folded = Hash.new { |known, name| known[name] = Text::Tokens.line(name) }
            initials = Hash.new { |known, name| known[name] = Text::Folding.fold(Records::Author.initials(name)) }
            records.map do |record|
              record.authors.map { |author| [folded[author.family], initials[author.given]] }
            end
          end

          def self.facets(records)
            gathered = Hash.new do |names, name|
              names[name] = Hash.new { |values, value| values[value] = [] }
            end
            records.each_with_index do |record, place|
              Retrieval::Facets.each(record) { |name, value| gathered[name][value] << place }
            end
            gathered[:all]["all"] = records.each_index.to_a
            gathered.each_value { |values| values.default = nil }.tap { |names| names.default = nil }
          end
          private_class_method :row, :authors, :facets

          # The Record at a place, as its row has it.
          def record(place) = Exchange::CslJson::Reader.kept(JSON.parse(rows[place].last, freeze: true))

          def size = ids.size
          def empty? = ids.empty?
        end

        # Writes what words and authors are looked up in, folded by the core. All of it can be made anew
        # from the records, which a migration does when the core folds in another way.
        class WordRows < Base
          TEXTS = "INSERT INTO texts (rowid, title, abstract, keywords, headings) VALUES (?, ?, ?, ?, ?)"
          # All authors of a batch at once, as one JSON text, and in order, so that neighbours are
          # written one after the other.
          AUTHORS = "INSERT OR IGNORE INTO authors SELECT value ->> 0, value ->> 1, value ->> 2 FROM json_each(?) " \
                    "ORDER BY 1, 2"
          BATCH = 4_000
          private_constant :TEXTS, :AUTHORS, :BATCH

          # numbers :: Hash of places in a Batch to the numbers under which its records are written
          def add(batch, numbers)
            @db.synchronize do |connection|
              Database::Rows.write(connection, TEXTS, numbers) { |place, number| [number, *batch.texts[place]] }
              authors = JSON.generate(authors(batch, numbers))
              Database::Rows.write(connection, AUTHORS, [authors]) { |text| [text] }
            end
          end

          # Counts anew how many papers have each word.
          def count
            @db[:word_counts].delete
            @db.run("INSERT INTO word_counts SELECT term, doc FROM text_words")
          end

          # Writes all of it from the stored records, into tables that are empty.
          def write_anew
            highest = @db[:records].max(:number) || 0
            (1..highest).step(BATCH) do |first|
              rows = @db[:records].where(number: first...(first + BATCH)).order(:number).select_map(%i[number csl])
              records = rows.map do |_, csl|
                Exchange::CslJson::Reader.kept(JSON.parse(csl, freeze: true))
              end
              batch = Batch.of(records)
              add(batch, rows.each_with_index.to_h { |(number, _), place| [place, number] })
            end
          end

          private

          def authors(batch, numbers)
            numbers.flat_map { |place, number| batch.authors[place].map { |author| [*author, number] } }
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # The files that came into the library: how far each got, what it brought, what was refused.
      class Imports < Base
        # state :: key of STATES; size, at_byte :: of the file and how far it was read; entries ::
        #   read so far, of which added, known and refused; duplicates :: of the added, those that are
        #   the same paper as an earlier one; message :: why it failed, or nil
        # source_id :: of the catalogue that it comes from, nil for a file; query :: what was asked
        #   there; most :: records that were asked for, of which `size` are there; token :: where a
        #   harvest goes on
        class Import < Value
          attributes :id, :name, :digest, :format, :state, :sample, :size, :at_byte, :entries,
                     :added,
                     :known, :duplicates, :refused, :message, :begun_at, :ended_at, :source_id,
                     :query,
                     :most, :token

          def waiting? = %w[waiting running].include?(state)
        end

        # More refusals are counted, not kept.
        MOST_REFUSALS = 10_000
        private_constant :MOST_REFUSALS

        # Begins an import. at :: ISO 8601; rest :: source_id, query, most of one from a catalogue.
        #   Gives its Import.
        def begin(name:, size:, at:, sample: false, digest: nil, format: nil, state: "running",
                  **rest)
          id = writing do
            @db[:imports].insert(name:, size:, sample:, digest:, format: format&.to_s, state:,
                                 begun_at: at, **rest)
          end
          find(id)
        end

        # The last first.
        def all = @db[:imports].reverse(:id).map { |row| Import.new(**row) }

        # Raises GoneError.
        def find(id)
          row = @db[:imports].first(id:) or raise GoneError, "import"
          Import.new(**row)
        end

        # One of the same file that was not read to its end, or nil.
        def unfinished(digest)
          row = @db[:imports].where(digest:, state: %w[running stopped failed]).reverse(:id).first
          row && Import.new(**row)
        end

        # The next one to work on, or nil.
        def next_waiting
          row = @db[:imports].where(state: %w[waiting running]).order(:id).first
          row && Import.new(**row)
        end

        def change(id, **values) = writing { @db[:imports].where(id:).update(**values) }

        # Adds to what an import did; called within the transaction that writes its batch.
        # outcome :: RecordRows::Outcome; place, at_byte :: how far the file was read
        # refusals :: Array of Exchange::Entry::Refusal; headings :: Hash of strange heading to records
        def add(id, outcome, place:, at_byte:, refusals:, headings:, token: nil)
          counted = { added: outcome.added.size, known: outcome.known,
                      duplicates: outcome.duplicates,
                      refused: refusals.size }
          grown = counted.to_h { |name, count| [name, Sequel[name] + count] }
          @db[:imports].where(id:).update(entries: place, at_byte:, token:, **grown)
          numbers = outcome.added
          @db[:import_parts].insert(import_id: id, first: numbers.first, last: numbers.last) if numbers.any?
          keep_known(id, outcome.known_ids)
          keep_refusals(id, refusals)
          keep_headings(id, headings)
        end

        # Array of Exchange::Entry::Refusal, in order.
        def refusals(id)
          @db[:import_refusals].where(import_id: id).order(:place).map do |row|
            Exchange::Entry::Refusal.new(**row.except(:import_id))
          end
        end

        # Hash of heading that the thesaurus lacks to the number of records, the most frequent first.
        def headings(id)
          @db[:import_headings].where(import_id: id).order(Sequel.desc(:records), :label)
                               .select_hash(:label, :records)
        end

        # The numbers of the records that it brought, as an Array of Ranges.
        def parts(id)
          @db[:import_parts].where(import_id: id).order(:first).select_map(%i[first
                                                                              last]).map do |pair|
            Range.new(*pair)
          end
        end

        # Numbers of the records that it had: those that it brought and those that were known.
        def numbers(id)
          (parts(id).flat_map(&:to_a) + @db[:import_known].where(import_id: id).select_map(:number)).uniq
        end

        private

        def keep_known(id, ids)
          numbers = ids.each_slice(5_000).flat_map do |some|
            @db[:records].where(Database::Membership.of(:id, some)).select_map(:number)
          end
          @db[:import_known].insert_conflict.multi_insert(numbers.map { |number| { import_id: id, number: } })
        end

        def keep_refusals(id, refusals)
          room = MOST_REFUSALS - @db[:import_refusals].where(import_id: id).count
          rows = refusals.first([room, 0].max).map { |refusal| { import_id: id, **refusal.to_h } }
          @db[:import_refusals].insert_conflict.multi_insert(rows)
        end

        def keep_headings(id, headings)
          headings.each do |label, records|
            more = { records: Sequel[:import_headings][:records] + records }
            @db[:import_headings].insert_conflict(target: %i[import_id label], update: more).insert(
              import_id: id, label:, records:
            )
          end
        end

        # Where records came from: the file or the catalogue that brought each.
        class Origins < Base
          # What came in before imports were written down.
          UNKNOWN = "from before"

          # numbers :: of records. Gives a Hash of each to the name of what brought it.
          def of(numbers)
            parts = parts()
            numbers.to_h { |number| [number, name(parts, number)] }
          end

          # Hash of the name of each origin to how many of these records are from there, most first.
          def counts(numbers) = sorted(of(numbers).values.tally)

          # The same for the whole library. size :: how many records it has
          def all(size)
            within = (Sequel[:records][:number] >= Sequel[:import_parts][:first]) &
                     (Sequel[:records][:number] <= Sequel[:import_parts][:last])
            held = @db[:import_parts].join(:imports, id: :import_id).join(:records, within)
                                     .group_and_count(Sequel[:imports][:name]).to_hash(:name, :count)
            rest = size - held.values.sum
            sorted(rest.positive? ? { **held, UNKNOWN => rest } : held)
          end

          private

          def sorted(counts) = counts.sort_by { |name, count| [-count, name] }.to_h

          # Array of [first, last, name], in order; no two share a number.
          def parts
            @db[:import_parts].join(:imports, id: :import_id)
                              .order(:first).select_map([:first, :last, Sequel[:imports][:name]])
          end

          def name(parts, number)
            after = parts.bsearch_index { |first,| first > number } || parts.size
            _, last, name = parts[after - 1] if after.positive?
            last && number <= last ? name : UNKNOWN
          end
        end
      end
    end
  end
end

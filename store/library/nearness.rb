# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # Which papers are near each other: by words, by citations, and by the words of a search.
      module Nearness
        # The papers that are most like one by their words; see Screening::Likeness. The full-text index
        # names those that share its weightiest words, and of these the likeness is worked out in full.
        class Alike < Base
          # How many of a paper's words are looked up, and in how many papers they may stand together;
          # how many papers are then compared in full.
          MOST_WORDS = 20
          MOST_POSTINGS = 16_000
          COMPARED = 90
          private_constant :MOST_WORDS, :MOST_POSTINGS, :COMPARED

          # likeness :: Screening::Likeness over the same library
          def initialize(db, likeness)
            super(db)
            @likeness = likeness
          end

          # record :: Records::Record. The block turns numbers into an Array of Record. Gives an Array
          #   of [Record, likeness from 0 to 1], the most alike first, without the record itself.
          def call(record, limit:)
            vector = @likeness.vector(record)
            near = yield(candidates(vector)).reject { |other| other.id == record.id }
            near.map { |other| [other, @likeness.cosine(vector, @likeness.vector(other))] }
                .sort_by { |other, likeness| [-likeness, other.id] }.first(limit)
          end

          private

          def candidates(vector)
            words = @likeness.heaviest(vector, most: MOST_WORDS, postings: MOST_POSTINGS)
            return [] if words.empty?

            query = words.map { |word| "\"#{word}\"" }.join(" OR ")
            @db[:texts].where(Sequel.lit("texts MATCH ?", query)).order(Sequel.lit("bm25(texts)"))
                       .limit(COMPARED).select_map(:rowid)
          end
        end

        # The Screening::Likeness::Traits of papers that were asked for, kept for as long as the version of the
        # library that they belong to.
        class KeptTraits
          # Past so many papers all are let go: some ten kilobytes each.
          MOST = 6_000
          private_constant :MOST

          # The block gives the Screening::Likeness of the library.
          def initialize(&likeness)
            @likeness = likeness
            @known = {}
            @lock = Mutex.new
          end

          # numbers :: Array. The block turns those that are not known yet into Records, in their order.
          # Gives a Hash of each number to its traits.
          def fetch(numbers)
            known = @lock.synchronize { @known.slice(*numbers) }
            fresh = numbers - known.keys
            return known if fresh.empty?

            likeness = @likeness.call
            made = fresh.zip(yield(fresh)).to_h { |number, record| [number, Screening::Likeness::Traits.of(record, likeness)] }
            keep(made)
            known.merge(made)
          end

          private

          def keep(made)
            @lock.synchronize do
              @known.clear if @known.size + made.size > MOST
              @known.merge!(made) if made.size <= MOST
            end
          end
        end

        # How close papers are to the words of a search: BM25 as SQLite's full-text index works it out
        # (k1 1.2, b 0.75; Robertson and Zaragoza 2009, from memory), the title weighing most.
        class Closeness < Base
          # Of title, abstract, keywords, headings.
          WEIGHTS = [8.0, 1.0, 3.0, 3.0].freeze
          MOST_PHRASES = 200
          private_constant :MOST_PHRASES

          # set :: RecordSet; phrases :: Array of texts, folded words with a * at the end of one that
          #   any ending will do for Gives a Hash of number to how close it is, the closest first;
          #   papers without any of the words are left out.
          def call(set, phrases)
            query = phrases.first(MOST_PHRASES).filter_map { |phrase| quoted(phrase) }.uniq.join(" OR ")
            return {} if query.empty? || set.empty?

            rank = Sequel.lit("-bm25(texts, #{WEIGHTS.join(", ")})")
            # The plus keeps SQLite from asking the full text anew for each number.
            wanted = Sequel.lit("+rowid IN (SELECT value FROM json_each(?))", JSON.generate(set.to_a))
            rows = @db[:texts].where(Sequel.lit("texts MATCH ?", query)).where(wanted)
                              .select_map([:rowid, Sequel.as(rank, :closeness)])
            rows.sort_by { |number, closeness| [-closeness, number] }.to_h
          end

          private

          # Only letters and digits, in quotation marks: nothing is read as syntax.
          def quoted(phrase)
            words = Text::Tokens.masked(phrase)
            return if words.empty? || words.any? { |word| word.delete_suffix("*").match?(/[*?]/) || word == "*" }

            "\"#{words.map { |word| word.delete_suffix("*") }.join(" ")}\"#{" *" if words.last.end_with?("*")}"
          end
        end

        # Who cites whom among the papers of the library.
        class Citations < Base
          # All of a batch at once, as one JSON text, and in order.
          INSERT = "INSERT OR IGNORE INTO citations (cited, number) SELECT value ->> 0, value ->> 1 FROM json_each(?) " \
                   "ORDER BY 1, 2"
          private_constant :INSERT

          # numbers :: Hash of places in a Batch to the numbers under which its records are written
          def add(batch, numbers)
            pairs = numbers.flat_map { |place, number| batch.cites[place].map { |cited| [cited, number] } }
            return if pairs.empty?

            @db.synchronize { |connection| Database::Rows.write(connection, INSERT, [JSON.generate(pairs)]) { |text| [text] } }
          end

          # ids :: of papers. Gives a Hash of each to the ids of the papers that cite it.
          def citing(ids)
            pairs = ids.each_slice(500).flat_map do |some|
              @db[:citations].join(:records, number: :number).where(cited: some)
                             .order(:cited, Sequel[:records][:number]).select_map([:cited,
                                                                                   Sequel[:records][:id]])
            end
            gathered(ids, pairs)
          end

          # ids :: of papers. Gives a Hash of each to the ids of the papers of the library that it
          #   cites, as its record lists them.
          def cited_by(ids)
            lists = ids.each_slice(500).flat_map do |some|
              @db[:records].where(id: some).select_map([:id,
                                                        Sequel.lit("csl ->> '$.custom.cites'").as(:cites)])
            end.to_h { |id, cites| [id, cites ? JSON.parse(cites) : []] }
            here = known(lists.values.flatten.uniq)
            ids.to_h { |id| [id, lists.fetch(id, []).select { |cited| here.key?(cited) }] }
          end

          # How many papers of the library one cites, and how many cite it: [Integer, Integer].
          def counts(record) = [known(record.cites).size, @db[:citations].where(cited: record.id).count]

          # The records tied to one by a citation, either way, whose text has any of some words in it.
          def tied_with(record, texts)
            return [] if texts.empty?

            ids = neighbours([record.id]).fetch(record.id)
            has = texts.map { |text| Sequel.lit("instr(csl, ?) > 0", text) }.reduce(:|)
            ids.each_slice(500).flat_map do |some|
              @db[:records].where(id: some).where(has).select_map(:id)
            end
          end

          # Both: Hash of each id to the ids of the papers that it cites and of those that cite it.
          def neighbours(ids) = cited_by(ids).merge(citing(ids)) { |_, one, two| one | two }

          private

          def known(ids)
            ids.each_slice(500).flat_map { |some| @db[:records].where(id: some).select_map(:id) }.to_h { |id| [id, true] }
          end

          def gathered(ids, pairs)
            by_id = pairs.group_by(&:first).transform_values { |some| some.map(&:last) }
            ids.to_h { |id| [id, by_id.fetch(id, [])] }
          end
        end
      end
    end
  end
end

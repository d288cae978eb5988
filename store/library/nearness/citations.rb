# frozen_string_literal: true

module Hobrin
  module Store
    # Who cites whom among the papers of the library.
    class Citations
      # All of a batch at once, as one JSON text, and in order.
      INSERT = "INSERT OR IGNORE INTO citations (cited, number) SELECT value ->> 0, value ->> 1 FROM json_each(?) " \
               "ORDER BY 1, 2"
      private_constant :INSERT

      def initialize(db)
        @db = db
      end

      # numbers :: Hash of places in a Batch to the numbers under which its records are written
      def add(batch, numbers)
        pairs = numbers.flat_map { |place, number| batch.cites[place].map { |cited| [cited, number] } }
        return if pairs.empty?

        @db.synchronize { |connection| Rows.write(connection, INSERT, [JSON.generate(pairs)]) { |text| [text] } }
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

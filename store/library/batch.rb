# frozen_string_literal: true

module Hobrin
  module Store
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
  end
end

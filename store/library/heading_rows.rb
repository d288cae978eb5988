# frozen_string_literal: true

module Hobrin
  module Store
    # The thesaurus in and out of its tables.
    class HeadingRows
      KINDS = { also_called: "also_called", broader: "broader", related: "related", aspects: "aspect",
                use_instead: "use_instead" }.freeze
      private_constant :KINDS

      def initialize(db)
        @db = db
      end

      def read
        names = @db[:heading_names].order(:label, :kind, :place).select_map(%i[label kind name])
                                   .group_by { |label, kind, _| [label, kind] }
        headings = @db[:headings].all.map do |row|
          lists = KINDS.transform_values { |kind| names.fetch([row[:label], kind], []).map(&:last) }
          Thesaurus::Heading.new(label: row[:label],
                                 **row.slice(:definition, :added, :uri, :notation), **lists)
        end
        Thesaurus.new(headings, checked: true)
      end

      def write(thesaurus)
        @db[:headings].delete
        rows = thesaurus.headings.map do |heading|
          heading.to_h.slice(:label, :definition, :added, :uri, :notation)
        end
        @db[:headings].multi_insert(rows)
        @db[:heading_names].multi_insert(thesaurus.headings.flat_map { |heading| name_rows(heading) })
      end

      private

      def name_rows(heading)
        KINDS.flat_map do |list, kind|
          heading.public_send(list).each_with_index.map do |name, place|
            { label: heading.label, kind:, place:, name: }
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    # Papers that came with an archive and are not in the library: they stay with their inquiry.
    class OwnRecords
      def initialize(db)
        @db = db
      end

      def inspect = "#<#{self.class}>"

      # items :: Hash of each paper's id to its CSL-JSON as plain data
      def keep(inquiry_id, items)
        rows = items.map { |record_id, item| { inquiry_id:, record_id:, csl: JSON.generate(item) } }
        Trouble.writing(@db) { @db[:inquiry_records].multi_insert(rows) }
      end

      # Array of Records::Record.
      def of(inquiry_id) = items(inquiry_id).map { |item| Exchange::CslJson::Reader.kept(item) }

      # The same as CSL-JSON, as plain data.
      def items(inquiry_id)
        @db[:inquiry_records].where(inquiry_id:).order(:record_id).select_map(:csl).map { |csl| JSON.parse(csl) }
      end

      # Lets the papers of an inquiry go, once the library has them.
      def forget(inquiry_id) = Trouble.told { @db[:inquiry_records].where(inquiry_id:).delete }
    end
  end
end

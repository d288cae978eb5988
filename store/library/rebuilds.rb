# frozen_string_literal: true

module Hobrin
  module Store
    class Library
      # What a migration of the library asks to be worked out anew from its records, by the classes of
      # today and after all migrations: a migration changes tables alone, and stays as it is when a class
      # changes. A rebuild that was cut off is done at the next start.
      module Rebuilds
        TABLE = :rebuilds
        # Each part by the name that a migration writes down, in the order in which they are rebuilt.
        PARTS = {
          "words" => ->(db) { RecordRows::WordRows.new(db).write_anew },
          "thesauri" => ->(db) { Thesauri.new(db).keep_first },
          "frequent words" => ->(db) { FrequentWords.new(db).keep },
          "keys of the same paper" => ->(db) { Duplicates.new(db).renew_keys }
        }.freeze
        private_constant :TABLE, :PARTS

        # db :: Sequel::Database of a library with its migrations run
        def self.call(db)
          return unless db.table_exists?(TABLE)

          waiting = db[TABLE].select_map(:part)
          PARTS.slice(*waiting).each do |part, rebuild|
            rebuild.call(db)
            db[TABLE].where(part:).delete
          end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Store
    # Asks how late it is before each statement and at each row (see Deadline). SQLite's own progress
    # handler would stop within one statement, too, but the driver offers it only as a time-out that
    # ends at once (sqlite3 2.8.1, `statement_timeout=`); no statement here takes long by itself.
    module Timely
      # db :: Sequel::Database
      def self.make(db)
        db.extend(Statements)
        db.extend_datasets(Rows)
      end

      # A transaction is still ended: that is no statement of these.
      module Statements
        def execute(...)
          Deadline.check
          super
        end

        def execute_dui(...)
          Deadline.check
          super
        end

        def execute_insert(...)
          Deadline.check
          super
        end
      end

      # Rows as they are read.
      module Rows
        def fetch_rows(sql)
          super do |row|
            Deadline.check
            yield row
          end
        end
      end
      private_constant :Statements, :Rows
    end
  end
end

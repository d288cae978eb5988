# frozen_string_literal: true

module Hobrin
  module Store
    # Writes many rows with one prepared statement, which is most of the time of an import: the
    # driver's `execute` makes a result set for each row, and a statement built anew is parsed anew.
    module Rows
      # connection :: the driver's; sql :: an INSERT; rows :: whatever the block turns into an Array
      #   of values
      def self.write(connection, sql, rows)
        statement = connection.prepare(sql)
        rows.each do |row|
          statement.bind_params(*yield(row))
          statement.step
          statement.reset!
        end
      ensure
        statement&.close
      end
    end
  end
end

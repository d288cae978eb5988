# frozen_string_literal: true

module Hobrin
  module Store
    # Writes many rows with one prepared statement, which is most of the time of an import: the
    # driver's `execute` makes a result set for each row, a statement built anew is parsed anew, and
    # its way to bind all values at once looks for hashes and lists among them.
    module Rows
      # connection :: the driver's; sql :: an INSERT; rows :: whatever the block turns into an Array
      #   of values
      def self.write(connection, sql, rows)
        statement = connection.prepare(sql)
        rows.each do |row|
          yield(row).each.with_index(1) { |value, place| statement.bind_param(place, value) }
          statement.step
          statement.reset!
        end
      ensure
        statement&.close
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # What time it is, in the forms in which it is kept.
    class Clock
      # source :: anything with `now`, such as Time
      def initialize(source)
        @source = source
        freeze
      end

      # A Date.
      def today = @source.now.to_date

      # The time as ISO 8601 text in UTC, to the second: what is stored.
      def now = text(@source.now.utc)

      # The same, some days or minutes ago.
      def days_ago(count) = minutes_ago(count * 1_440)
      def minutes_ago(count) = text(@source.now.utc - (count * 60))

      private

      def text(time) = time.strftime("%Y-%m-%dT%H:%M:%SZ")
    end
  end
end

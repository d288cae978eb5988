# frozen_string_literal: true

module Hobrin
  module Exchange
    # An entry that was not read: its place in the file from 1, the line it begins at, and why.
    class Refusal < Value
      attributes :place, :line, :reason

      def self.of(entry, reason) = new(place: entry.place, line: entry.line, reason:)

      def to_s = "entry #{place}#{", line #{line}" if line}: #{reason}"
    end
  end
end

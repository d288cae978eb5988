# frozen_string_literal: true

require "digest"

module Hobrin
  module Store
    # What is to be told afterwards of who came in, was refused, took something out or changed what
    # others may do. Lines are only added; each carries a fingerprint of itself and the one before,
    # so that one that is altered or missing is found.
    class Audit
      # at :: ISO 8601; who :: a name, or what was typed; what :: in a word; about :: more of it
      class Line < Value
        attributes :number, :at, :who, :what, :about, :before, :print
      end

      FIRST = "0" * 64
      private_constant :FIRST

      def initialize(db)
        @db = db
      end

      # about :: "" for nothing more
      def add(at:, who:, what:, about: "")
        Trouble.writing(@db) do
          before = @db[:audit].reverse(:number).get(:print) || FIRST
          line = { at:, who:, what:, about:, before: }
          @db[:audit].insert(**line, print: print_of(**line))
        end
      end

      # The last lines, the last first.
      def last(limit) = @db[:audit].reverse(:number).limit(limit).map { |row| Line.new(**row) }

      # The number of the first line that is not as it was written, or follows one that is missing;
      # nil when all are.
      def broken_at
        before = FIRST
        @db[:audit].order(:number).each do |row|
          line = row.slice(:at, :who, :what, :about, :before)
          return row[:number] unless row[:before] == before && row[:print] == print_of(**line)

          before = row[:print]
        end
        nil
      end

      private

      def print_of(**line)
        Digest::SHA256.hexdigest(JSON.generate(line.values_at(:before, :at, :who, :what, :about)))
      end
    end
  end
end

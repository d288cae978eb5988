# frozen_string_literal: true

require "digest"

module Hobrin
  module Exchange
    # One entry as it stands in a file, not understood yet.
    #
    # place :: from 1; line :: where it begins, from 1; text :: its bytes; reason :: why it cannot
    #   be an entry, or nil
    # value :: what the format's parser made of the text, where finding its end took parsing it;
    #   otherwise nil
    class Entry < Value
      attributes :place, :line, :text, :reason, :value

      def initialize(place:, line:, text:, reason: nil, value: nil)
        @place = place
        @line = line
        @text = text
        @reason = reason
        @value = value
        freeze
      end

      # A stretch of a file that no entry could be made of. bytes :: how long it is; likely :: how many
      #   entries it looks like
      def self.unread(place:, line:, bytes:, likely:, why:)
        entries = likely > 1 ? Book.t("exports.entry.likely", count: likely) : ""
        new(place:, line:, text: "", reason: Book.t("exports.entry.not_read", reason: why, bytes:, entries:))
      end

      # Past this many bytes a text is no entry of a reference list.
      def self.longest = 1_000_000

      # An entry that was not read: its place in the file from 1, the line it begins at, and why.
      class Refusal < Value
        attributes :place, :line, :reason

        def self.of(entry, reason) = new(place: entry.place, line: entry.line, reason:)

        def to_s
          return Book.t("exports.entry.at", number: place, reason:) unless line

          Book.t("exports.entry.at_line", number: place, line:, reason:)
        end
      end

      # The id of a record whose file may not give one. The same entry gets the same id every time it
      # is read.
      module Identity
        # id, doi :: as the file has them, or nil; rest :: what else tells the entry apart
        def self.of(id, doi, *rest)
          given = [id, doi].map { |text| text.to_s.strip }.find { |text| !text.empty? }
          given || "made:#{Digest::SHA256.hexdigest(rest.join("\n"))[0, 20]}"
        end

        # An id for a record whose own is another paper's; the same record gets the same one each
        # time.
        def self.apart(record) = "#{record.id} (#{Digest::SHA256.hexdigest(Text::Tokens.line(record.title))[0, 8]})"
      end
    end
  end
end

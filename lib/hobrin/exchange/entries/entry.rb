# frozen_string_literal: true

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
        entries = likely > 1 ? ", which look like #{likely} entries" : ""
        new(place:, line:, text: "", reason: "#{why}: #{bytes} bytes were not read#{entries}")
      end

      # Past this many bytes a text is no entry of a reference list.
      def self.longest = 1_000_000
    end
  end
end

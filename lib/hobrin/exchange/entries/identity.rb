# frozen_string_literal: true

require "digest"

module Hobrin
  module Exchange
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

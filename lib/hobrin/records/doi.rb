# frozen_string_literal: true

module Hobrin
  module Records
    # A DOI in one spelling, so that two ways of writing it are the same.
    module Doi
      ADDRESS = %r{\A(?:https?://(?:dx\.)?doi\.org/|doi:\s*)}i
      private_constant :ADDRESS

      # text :: with its address or without, in any case.
      #
      #   Doi.plain("https://doi.org/10.5555/A") # => "10.5555/a"
      def self.plain(text) = text.to_s.strip.sub(ADDRESS, "").downcase
    end
  end
end

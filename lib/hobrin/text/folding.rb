# frozen_string_literal: true

module Hobrin
  module Text
    # One meaning of "the same letters" for the library and the search: case and diacritics do not
    # count. The full-text index of the store is set up to fold alike.
    module Folding
      # A String in; the folded String out.
      #
      #   Folding.fold("Délire") # => "delire"
      def self.fold(text)
        return text.downcase if text.ascii_only?

        text.unicode_normalize(:nfkd).gsub(/\p{Mn}/, "").downcase
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Text
    # One meaning of "the same letters", for what is searched and for what is searched for: case,
    # diacritics and the shape of a letter (a raised 2, a wide A, a ligature) do not count.
    module Folding
      # Marks above and below a letter, and those around it.
      MARKS = /[\p{Mn}\p{Me}]/
      private_constant :MARKS

      # A String in; the folded String out. Folding twice changes nothing more.
      # Source: compatibility decomposition and case folding as in Unicode Standard Annex 15 and
      # section 3.13 of the Unicode Standard, by Ruby's own tables.
      #
      #   Folding.fold("Délire") # => "delire"
      #   Folding.fold("CO₂")    # => "co2"
      def self.fold(text)
        return text.downcase if text.ascii_only?

        bare(bare(text).downcase(:fold)).unicode_normalize(:nfc)
      end

      def self.bare(text) = text.unicode_normalize(:nfkd).gsub(MARKS, "")
      private_class_method :bare
    end
  end
end

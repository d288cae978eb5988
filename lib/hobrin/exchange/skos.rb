# frozen_string_literal: true

module Hobrin
  module Exchange
    # A thesaurus in SKOS (W3C Recommendation, 2009): Turtle, N-Triples or RDF/XML in, Turtle out.
    # What SKOS has no word for, the aspects that a heading allows, stands under a property of
    # Hobrin's own.
    module Skos
      CORE = "http://www.w3.org/2004/02/skos/core#"
      OWN = "urn:hobrin:ns#"
      CREATED = "http://purl.org/dc/terms/created"
      # What took the place of a heading (DCMI Metadata Terms).
      REPLACED = "http://purl.org/dc/terms/isReplacedBy"
      HEADING = "urn:hobrin:heading:"
      # A statement on a line of its own, perhaps behind comments.
      TRIPLE = /\A(?:#.*\n\s*)*(?:<[^>\s]*>|_:\S+)\s+<[^>\s]+>\s+(?:<[^>\s]*>|_:|").*\.\s*$/
      private_constant :TRIPLE

      # sample :: the first bytes of a file. Gives :turtle, :ntriples, :rdfxml or nil; a guess from
      #   the text alone.
      def self.detect(sample)
        text = Utf8.of(sample).delete_prefix("\u{FEFF}").lstrip
        return :rdfxml if text.match?(/\A(?:<\?xml|<!DOCTYPE|<rdf:)/)
        return :ntriples if text.match?(TRIPLE) && !text.match?(/^\s*@?prefix/i)

        :turtle if text.match?(/^\s*(?:@?prefix|@?base|[\w-]*:\S+|<[^>]*>)\s/i)
      end
    end
  end
end

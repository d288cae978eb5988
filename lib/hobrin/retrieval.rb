# frozen_string_literal: true

module Hobrin
  # From a tree to the exact set of records, and what can be said of that set.
  #
  # An Index answers the leaves; any object will do that keeps this contract, each giving a
  # RecordSet unless it says otherwise:
  #
  #   everything           :: all records
  #   words(TextTerm)         :: records of which a chosen field holds the words
  #   whole(WholeText)          :: records of which a chosen field is those words
  #   near(Proximity)           :: records of which a chosen field holds the two sides near each
  #   other author(Author), identifier(Identifier)
  #   facet(name, values)  :: records that have any of these values; names and values as in Facets
  #   values(name)         :: the values of a facet that any record has: an Array of String, sorted
  #   sets(name)           :: Hash of each value of a facet to its RecordSet
  #   spellings(Mask)      :: the words of the library that a mask takes in: Array of [word,
  #   records], the commonest first occurs?(word)        :: whether any record has this folded word
  #   not_indexed          :: records that have no heading yet
  #   unstated(limit)      :: records that say nothing a limit could go by
  #
  # spec/contracts/index.rb runs the contract against any Index.
  module Retrieval
  end
end

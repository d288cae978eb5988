# frozen_string_literal: true

module Hobrin
  # From a tree to the exact set of records, and what can be said of that set.
  #
  # An Index answers the leaves; any object will do that keeps this contract, each giving a RecordSet:
  #
  #   everything           :: all records
  #   words(Words)         :: records whose chosen fields hold the words
  #   heading(label, main) :: records with exactly this heading, as a main topic only if `main`
  #   not_indexed          :: records that have no heading yet
  #   unstated(limit)      :: records that say nothing a limit could go by: :type, :age or :dates
  #   facet(name, value)   :: records with this value: :type, :age or :year (an Integer)
  #   years                :: the years that records were published in, sorted
  #
  # spec/contracts/index.rb runs the contract against any Index.
  module Retrieval
  end
end

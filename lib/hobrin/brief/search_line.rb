# frozen_string_literal: true

module Hobrin
  class Brief
    # One line of the search as it was run.
    #
    # number :: from 1; kind :: :term, :block, :join, :limit or :by_hand; name :: in words
    # rule   :: as CQL for a term or a limit, and by the numbers of earlier lines for what joins them
    # count  :: papers
    class SearchLine < Value
      attributes :number, :kind, :name, :rule, :count
    end
  end
end

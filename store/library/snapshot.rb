# frozen_string_literal: true

module Hobrin
  module Store
    # The library as it was at one version. All of it was read in one transaction, so that its parts
    # belong together.
    #
    # version :: see Library; index :: Index; thesaurus :: Thesaurus; size :: records; sample ::
    #   whether they are made up; traits :: KeptTraits
    class Snapshot < Value
      attributes :version, :index, :thesaurus, :size, :sample, :traits

      alias sample? sample
      def empty? = size.zero?
    end
  end
end

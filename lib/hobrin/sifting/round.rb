# frozen_string_literal: true

module Hobrin
  module Sifting
    # One round of following citations: from some papers to those that they cite and are cited by.
    #
    # from_ids :: the papers that were followed; found_ids :: what hangs on them and was neither in
    #   the set nor found in an earlier round, the most tied first
    class Round < Value
      attributes :from_ids, :found_ids
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Edits
    module Trail
      # Writes to the trail that the search was run again. It changes nothing of the search, so that
      # going back passes it over.
      #
      # before, papers :: what it found then and now; fresh :: how many of those came into the
      #   library since, nil when that
      # cannot be told
      class RecordRun < Edit
        attributes :before, :papers, :fresh

        def call(inquiry, surroundings)
          Change.new(inquiry:, kind: :run_again, facts: { before:, papers:, fresh: },
                     brings_back: surroundings.trail.history.present)
        end
      end
    end
  end
end

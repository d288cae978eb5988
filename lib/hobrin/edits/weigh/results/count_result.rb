# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Takes a result out of what is put together, or counts it in again.
      #
      # counts :: whether it counts from now on
      class CountResult < ResultEdit
        attributes :record_id, :number, :counts

        def call(inquiry, surroundings)
          changed = result(inquiry).with(aside: counts ? nil : :by_hand)
          put(inquiry, surroundings, changed, counts ? :result_counted : :result_taken_out)
        end
      end
    end
  end
end

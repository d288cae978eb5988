# frozen_string_literal: true

module Hobrin
  class Brief
    # What a ward will do differently: what, where, who, from when, measured how, looked at again
    # on.
    class ChangePlan < Value
      attributes :what, :where, :who, :from_when, :measured, :look_again

      LONGEST = 500
      PROMPTS = { what: "What changes", where: "Where", who: "Who does it", from_when: "From when",
                  measured: "Measured how", look_again: "Looked at again on" }.freeze

      # Raises InputError naming the field that is too long.
      def initialize(what: "", where: "", who: "", from_when: "", measured: "", look_again: "")
        @what, @where, @who, @from_when, @measured, @look_again =
          [what, where, who, from_when, measured, look_again].map { |text| text.to_s.strip.freeze }
        long = to_h.select { |_, text| text.size > LONGEST }
        errors = long.transform_values { "Keep this to #{LONGEST} characters." }
        raise InputError, errors unless errors.empty?

        freeze
      end
    end
  end
end

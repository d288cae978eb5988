# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Writes down that records of another catalogue are brought in by what it was asked.
      #
      # source :: its name; import_id :: of the import; most :: records at most
      class BringIn < Edit
        STEP = :narrow
        attributes :source, :import_id, :most

        # Raises GoneError when it was never asked.
        def call(inquiry, _surroundings)
          asked = inquiry.elsewhere.find do |one|
            one.source == source
          end or raise GoneError, "catalogue"
          changed = inquiry.elsewhere.map { |one| one.equal?(asked) ? one.with(import_id:) : one }
          Change.new(inquiry: inquiry.with(elsewhere: changed), kind: :brought_from_elsewhere,
                     facts: { source:, most: })
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Mends one finding of the check of the search.
      #
      # name :: of a Check::Finding
      class MendFinding < Edit
        STEP = :narrow
        attributes :name

        def about(inquiry) = [inquiry.question, inquiry.state]

        # Raises GoneError when it is not found any more, or only the person can mend it.
        def call(inquiry, surroundings)
          finding = Check.new(inquiry, surroundings.evaluator).named(name)
          raise GoneError, "finding" unless finding&.mended

          Change.new(inquiry: finding.mended, kind: :finding_mended,
                     facts: { finding: finding.kind.to_s, words: finding.words })
        end
      end
    end
  end
end

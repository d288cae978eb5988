# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Lets a what-if be offered no more.
      #
      # name :: of a Narrowing::Moves::Move
      class DismissMove < Edit
        STEP = :narrow
        attributes :name

        # Raises GoneError when it is not offered any more.
        def call(inquiry, surroundings)
          move = Narrowing::Moves.of(inquiry, surroundings).named(name) or raise GoneError, "change"
          Change.new(inquiry: inquiry.with(dismissed: inquiry.dismissed | [name]), kind: :move_dismissed,
                     facts: { kind: move.kind.to_s, facts: move.facts })
        end
      end
    end
  end
end

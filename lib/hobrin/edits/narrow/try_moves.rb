# frozen_string_literal: true

module Hobrin
  module Edits
    module Narrow
      # Makes the changes that what-ifs name, one after the other.
      #
      # names :: of Narrowing::Moves::Moves, each among the moves at its turn
      class TryMoves < Edit
        STEP = :narrow
        attributes :names

        def about(inquiry) = inquiry.state

        # Raises GoneError when a move cannot be made any more: what was read is made or nothing is.
        def call(inquiry, surroundings)
          made = []
          changed = names.reduce(inquiry) do |now, name|
            move = Narrowing::Moves.of(now, surroundings).named(name) or raise GoneError, "change"
            made << { kind: move.kind.to_s, facts: move.facts }
            now.with_state(move.state)
          end
          raise GoneError, "change" if made.empty?

          Change.new(inquiry: changed, kind: :moves_tried, facts: { moves: made })
        end
      end
    end
  end
end

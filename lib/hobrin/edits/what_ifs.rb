# frozen_string_literal: true

module Hobrin
  module Edits
    # What can be done with a what-if.
    module WhatIfs
      # Makes the changes that what-ifs name, one after the other.
      #
      # names :: of Narrowing::Moves::Moves, each among the moves at its turn
      class Apply < Edit
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

      # Lets a what-if be offered no more.
      #
      # name :: of a Narrowing::Moves::Move
      class Dismiss < Edit
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

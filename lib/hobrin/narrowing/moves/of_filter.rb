# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # The study filter in another of its widths.
      class OfFilter
        # From narrow to wide.
        WIDTHS = %w[specific balanced sensitive].freeze
        private_constant :WIDTHS

        def initialize(state, filters)
          @state = state
          @filters = filters
        end

        # Gives an Array of Move.
        def call
          now = @state.filter or return []
          others = (WIDTHS - [now.width]).map { |width| now.with(width:) }
          others.select { |filter| @filters.names.include?(filter.label) }.map { |filter| move(now, filter) }
        end

        private

        def move(now, filter)
          wider = WIDTHS.index(filter.width) > WIDTHS.index(now.width)
          Move.new(direction: wider ? :widen : :narrow, kind: :filter, wording: "the #{filter.width} study filter",
                   state: @state.with(filter:))
        end
      end
    end
  end
end

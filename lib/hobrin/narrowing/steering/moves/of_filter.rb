# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # The study filter in another of its widths, or put on.
      class OfFilter
        # kind :: of the question, whose filters are offered while none is on; nil for none
        def initialize(state, filters, kind)
          @state = state
          @filters = filters
          @kind = kind
        end

        # Gives an Array of Move. A filter and a limit to study types do the same work: none is
        # offered beside one.
        def call
          now = @state.limit(:filter)&.leaf
          return others(now) if now.is_a?(Strategy::Filter)

          now || @state.limit(:type) ? [] : offered(@kind).map { |filter| move(filter, :narrow) }
        end

        private

        def offered(kind) = @filters.of_kind(kind).map(&:filter)

        def others(now)
          wide = ->(filter) { Strategy::Filter::WIDTHS.index(filter.width) }
          (offered(now.kind) - [now]).map do |filter|
            move(filter, wide[filter] < wide[now] ? :widen : :narrow)
          end
        end

        def move(filter, direction)
          Move.new(direction:, kind: :filter, facts: { width: filter.width, kind: filter.kind },
                   state: @state.with_limit(:filter, filter))
        end
      end
    end
  end
end

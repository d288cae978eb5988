# frozen_string_literal: true

module Hobrin
  module Narrowing
    class Moves
      # A limit taken off, put on, or let wider by one more value.
      class OfLimits
        SPANS = [5, 10].freeze
        private_constant :SPANS

        def initialize(state, today)
          @state = state
          @today = today
        end

        # Gives an Array of Move.
        def call = taken_off + values + spans

        private

        def taken_off
          @state.limits.select(&:on).map do |limit|
            Move.new(direction: :widen, kind: :limit_off, facts: { leaf: limit.leaf },
                     state: @state.with_limit(limit.slot, nil))
          end
        end

        # Each value of a limit that is not on by itself; each further value of one that is.
        def values
          Strategy::Limit::KNOWN.flat_map { |name, known| name == :flag ? flags(known) : further(name, known) }
        end

        def further(name, known)
          chosen = @state.limit(name)&.leaf&.values || []
          (known - chosen).map do |value|
            leaf = Strategy::Limit.new(name:, values: [*chosen, value])
            chosen.any? ? put(:limit_wider, leaf, :widen, adds: value) : put(:limit, leaf, :narrow)
          end
        end

        # Each is a limit of its own.
        def flags(known)
          leaves = known.map { |flag| Strategy::Limit.new(name: :flag, values: [flag]) }
          leaves.reject { |leaf| @state.limit(leaf.slot) }
                .map { |leaf| put(:flag, leaf, :narrow) }
        end

        def spans
          SPANS.map { |years| Strategy::Dates.years(from_year: @today.year - years, to_year: @today.year) }
               .filter_map { |leaf| put(:limit, leaf, direction(leaf)) if direction(leaf) }
        end

        # Against the dates that are on: nil when some would come and others go.
        def direction(leaf)
          now = @state.limit(:dates)&.leaf or return :narrow
          return :widen if now.from && now.from >= leaf.from && now.to && now.to <= leaf.to

          :narrow if (now.from.nil? || now.from <= leaf.from) && (now.to.nil? || now.to >= leaf.to)
        end

        def put(kind, leaf, direction, **facts)
          Move.new(direction:, kind:, facts: { leaf:, **facts },
                   state: @state.with_limit(leaf.slot, leaf))
        end
      end
    end
  end
end

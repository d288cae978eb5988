# frozen_string_literal: true

module Hobrin
  module Narrowing
    # Every sensible single change of a state: what a person might try to widen or to narrow.
    class Moves
      # direction :: :widen or :narrow; kind :: such as :main_off; facts :: Hash of what it changes, see Wording
      # state :: the State after it
      class Move < Value
        attributes :direction, :kind, :facts, :state

        # What it is called in a press: made of what it changes, so that the same name is the same
        # change, whatever else there is. Unlike a place in a list it cannot come to mean another
        # one.
        def name = [kind, *facts.map { |fact, value| "#{fact}=#{written(value)}" }].join("|")

        def wording = Wording.of(kind, facts)

        private

        def written(value) = value.is_a?(Strategy::Expression) ? Strategy::Cql.write(value) : value
      end

      # The moves of an inquiry as it stands. surroundings :: evaluator, with thesaurus and filters,
      # and today
      def self.of(inquiry, surroundings) = by(inquiry, surroundings).call(inquiry.state)

      # A Proc from a State to its Moves, in the names and for the kind of an inquiry.
      def self.by(inquiry, surroundings)
        letters = inquiry.question.elements.to_h { |element| [element.key, element.letter] }
        evaluator = surroundings.evaluator
        lambda do |state|
          new(state, thesaurus: evaluator.thesaurus, filters: evaluator.filters, today: surroundings.today,
                     kind: inquiry.question.kind, letters:)
        end
      end

      # state :: State; thesaurus :: Thesaurus; today :: Date
      # filters :: Strategy::Filters; kind :: key of the kind of question that they are offered for, or nil
      # letters :: Hash of a block's key to the letter that it goes by; one that is not there goes
      #   by its key
      def initialize(state, thesaurus:, today:, filters: Strategy::Filters::NONE, kind: nil,
                     letters: {})
        @state = state
        names = Hash.new { |_, key| key }.merge(letters)
        @makers = [OfHeadings.new(state, thesaurus, names), OfWords.new(state, names), OfBlocks.new(state, names),
                   OfLimits.new(state, today), OfFilter.new(state, filters, kind)]
      end

      # Array of Move, no two leading to the same state, none to the state as it is.
      def call
        @call ||= @makers.flat_map(&:call).reject { |move| move.state == @state || move.state.blocks.empty? }
                         .uniq(&:state).freeze
      end

      # The Move with a name, nil when it cannot be made.
      def named(name) = call.find { |move| move.name == name }

      # A change in the words of the page and the trail, from its kind and facts.
      #
      #   Wording.of(:main_on, { term: 4, label: "Delirium" }) # => "Delirium as a main topic only"
      module Wording
        # kind :: Symbol; facts :: Hash
        def self.of(kind, facts)
          leaf = facts[:leaf]
          case kind
          when :limit_off
            key = leaf.name == :filter ? "filter_off" : "limit_off"
            Book.t("narrowing.move.#{key}", limit: AppliedLimit::Wording.named(leaf))
          when :flag then Book.t("narrowing.move.flag", value: AppliedLimit::Wording.of(leaf).downcase)
          when :limit then Book.t("narrowing.move.limit", limit: AppliedLimit::Wording.named(leaf))
          else Book.t("narrowing.move.#{kind}", **facts)
          end
        end
      end

      # A block left out of the join or no longer taken away, or one that waits put into the join.
      class OfBlocks
        # letters :: Hash of a block's key to how it is named
        def initialize(state, letters)
          @state = state
          @letters = letters
        end

        # Gives an Array of Move.
        def call
          [*@state.blocks.map { |block| out(:block_off, block, blocks: @state.blocks - [block]) },
           *@state.excluded.map { |block| out(:excluded_off, block, excluded: @state.excluded - [block]) },
           *@state.waiting.map { |block| into(block) }]
        end

        private

        def facts(block) = { block: block.key, letter: @letters[block.key] }

        def out(kind, block, **left)
          state = @state.with(**left, waiting: [*@state.waiting, block])
          Move.new(direction: :widen, kind:, facts: facts(block), state:)
        end

        def into(block)
          Move.new(direction: :narrow, kind: :block_on, facts: facts(block),
                   state: @state.with(blocks: [*@state.blocks, block], waiting: @state.waiting - [block]))
        end
      end

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
          return others(now) if now.is_a?(Strategy::Filters::Filter)

          now || @state.limit(:type) ? [] : offered(@kind).map { |filter| move(filter, :narrow) }
        end

        private

        def offered(kind) = @filters.of_kind(kind).map(&:filter)

        def others(now)
          wide = ->(filter) { Strategy::Filters::Filter::WIDTHS.index(filter.width) }
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

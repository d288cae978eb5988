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
    end
  end
end

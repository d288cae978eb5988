# frozen_string_literal: true

module Hobrin
  module Services
    # What each single change would do, how the must-find papers fare, and the way to the aim.
    class ReadWhatIfs
      # number :: of the move among those of the inquiry; what_if :: WhatIfs::WhatIf
      Offer = Struct.new(:number, :what_if, keyword_init: true) do
        def wording = what_if.move.wording
        def size = what_if.size
        def added = what_if.added
        def removed = what_if.removed
        def lost = what_if.lost
      end

      # moves :: Array of Moves::Move, one after the other; numbers :: of each among the moves at its turn
      Route = Struct.new(:way, :numbers, keyword_init: true)

      # moves :: Array of two Moves::Move; numbers :: as in Route; size :: papers after them
      Pair = Struct.new(:moves, :numbers, :size, keyword_init: true)

      # record :: Records::Record; found :: whether the search finds it; steps :: Array of the Cascade::Steps that do not let it through
      # rescue :: the Offer that brings it back with the fewest other papers, or nil
      Known = Struct.new(:record, :found, :steps, :rescue, keyword_init: true)

      MOST_READ = 6
      private_constant :MOST_READ

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      # Every Moves::Move of an inquiry, in a fixed order.
      def moves(inquiry) = makes(inquiry).call(inquiry.state)

      # Array of Offer that change anything and were not dismissed, the nearest to the aim first.
      def call(inquiry)
        return [] if inquiry.state.blocks.empty?

        all = moves(inquiry)
        numbers = all.each_with_index.to_h.compare_by_identity
        offers = what_ifs(inquiry).call(all, aim: inquiry.aim).map do |one|
          Offer.new(number: numbers[one.move], what_if: one)
        end
        offers.reject { |one| (one.added.empty? && one.removed.empty?) || inquiry.dismissed.include?(one.wording) }
      end

      # The newest papers that a change would bring and take: [Array of Record, Array of Record].
      def papers(offer)
        [offer.added, offer.removed].map { |set| @context.library.newest(set, limit: MOST_READ) }
      end

      # The must-find papers. standing :: ReadInquiry::Standing; all :: Array of Offer. Gives an Array of Known.
      def known(standing, all)
        @context.library.records_by_id(standing.inquiry.must_find).map do |record|
          number = @context.library.number(record.id)
          absence = Narrowing::Absence.of(standing.cascade, number, @evaluator)
          rescues = all.select { |one| one.added.include?(number) }
          Known.new(record:, found: absence.step.nil?, steps: absence.all, rescue: rescues.min_by do |one|
            one.added.size
          end)
        end
      end

      # Gives a Route or nil.
      def way(inquiry)
        way = Narrowing::WayToAim.new(evaluator: @evaluator, aim: inquiry.aim, must_find: must_find(inquiry),
                                      makes: makes(inquiry)).call(inquiry.state) or return
        Route.new(way:, numbers: numbers(inquiry, way.moves))
      end

      # The two changes that bring a must-find paper back when no single one does. record_id :: of the paper.
      # Gives a Pair, or nil.
      def pair(inquiry, record_id)
        number = @context.library.number(record_id) or return
        rescue_of = Narrowing::Rescue.new(evaluator: @evaluator, makes: makes(inquiry))
        found = rescue_of.call(inquiry.state, number) or return
        Pair.new(moves: found.moves, numbers: numbers(inquiry, found.moves), size: found.size)
      end

      private

      # From a State to its Moves, in the names and for the kind of an inquiry.
      def makes(inquiry)
        letters = inquiry.question.elements.to_h { |element| [element.key, element.letter] }
        lambda do |state|
          Narrowing::Moves.new(state, thesaurus: @context.thesaurus, today: @context.today, filters: @context.filters,
                                      kind: inquiry.question.kind, letters:).call
        end
      end

      # The number of each change among those at its turn.
      def numbers(inquiry, moves)
        moves.zip([inquiry.state, *moves.map(&:state)]).map do |move, state|
          makes(inquiry).call(state).index { |one| one.state == move.state }
        end
      end

      def what_ifs(inquiry)
        Narrowing::WhatIfs.new(inquiry.state, evaluator: @evaluator, must_find: must_find(inquiry))
      end

      def must_find(inquiry) = @context.library.set(inquiry.must_find)
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    module Narrow
      # What each single change would do, how the must-find papers fare, and the way to the aim.
      class WhatIfs
        # record :: Records::Record; found :: whether the search finds it
        # steps  :: Array of the Cascade::Steps that do not let it through
        # recovery :: the WhatIfs::WhatIf that brings it back with the fewest other papers, or nil
        class Known < Value
          attributes :record, :found, :steps, :recovery
        end

        MOST_READ = 6
        private_constant :MOST_READ

        # opened :: OpenInquiry
        def initialize(context, opened)
          @context = context
          @opened = opened
          @evaluator = context.evaluator
        end

        # Array of Narrowing::WhatIfs::WhatIf that change anything and were not dismissed, the nearest
        # to the aim first.
        def call
          return [] if inquiry.state.blocks.empty?

          every.reject { |what_if| what_if.nothing? || inquiry.dismissed.include?(what_if.move.name) }
        end

        # The newest papers that a change would bring and take: [Array of Record, Array of Record].
        def papers(what_if)
          [what_if.added, what_if.removed].map do |set|
            @context.library.newest(set, limit: MOST_READ)
          end
        end

        # The must-find papers. all :: Array of WhatIf. Gives an Array of Known.
        def known(all)
          @context.library.records_by_id(inquiry.must_find).map do |record|
            number = @context.library.number(record.id)
            reasons = Narrowing::Cascade::ExclusionReasons.of(@opened.cascade, number, @evaluator)
            recoveries = all.select { |what_if| what_if.added.include?(number) }
            Known.new(record:, found: reasons.step.nil?, steps: reasons.all,
                      recovery: recoveries.min_by { |recovery| recovery.added.size })
          end
        end

        # Gives a Narrowing::WayToTarget::Way, or nil.
        def way
          Narrowing::WayToTarget.new(evaluator: @evaluator, aim: inquiry.aim, must_find:,
                                     moves:).call(inquiry.state)
        end

        # The two changes that bring a must-find paper back when no single one does. record_id :: of
        # the paper. Gives a Narrowing::WayToTarget::RecoveryPair::Found, or nil.
        def pair(record_id)
          number = @context.library.number(record_id) or return
          Narrowing::WayToTarget::RecoveryPair.new(evaluator: @evaluator, moves:).call(inquiry.state, number)
        end

        private

        # All of them, worked out once for a search as it stands: the key is everything that they
        # depend on beside the library, whose evaluator keeps them.
        def every
          depends_on = [:what_ifs, inquiry.state, inquiry.question.kind, inquiry.aim, inquiry.must_find, @context.clock.today,
                        inquiry.question.elements.map { |element| [element.key, element.letter] }]
          @evaluator.derived(depends_on) do
            Narrowing::WhatIfs.new(inquiry.state, evaluator: @evaluator, must_find:)
                              .call(moves.call(inquiry.state).call, aim: inquiry.aim).freeze
          end
        end

        def inquiry = @opened.inquiry
        def moves = @moves ||= Narrowing::Moves.by(inquiry, Surroundings.new(@context, @opened.saved))
        def must_find = @must_find ||= @context.library.set(inquiry.must_find)
      end
    end
  end
end

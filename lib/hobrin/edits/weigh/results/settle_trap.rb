# frozen_string_literal: true

module Hobrin
  module Edits
    module Weigh
      # Deals with a trap: mends it, or counts the result in spite of it.
      #
      # trap :: key of Appraisal::Together::Trap::WORDS; mend :: false to count it as it is; :split,
      #   for groups that share their comparison, to split that among them
      class SettleTrap < ResultEdit
        attributes :record_id, :number, :trap, :mend

        # Groups put together are one result; the others of the same comparison group are part of
        # it.
        def about(inquiry) = inquiry.paper(record_id)&.reported

        # Raises InputError (:trap) for one that is none, and for groups that cannot be put
        # together.
        def call(inquiry, surroundings)
          old = result(inquiry)
          raise InputError, { trap: "Choose what to do." } unless Appraisal::Together::Trap::WORDS.key?(trap)

          paper = inquiry.paper(record_id)
          paper = mend ? mended(paper, old) : paper.with_result(old.with(counted: [*old.counted, trap]))
          Change.new(inquiry: inquiry.with_paper(paper), kind: mend ? :trap_mended : :trap_counted,
                     facts: { **named(inquiry, surroundings, old),
                       says: Appraisal::Together::Trap::WORDS.fetch(trap).first })
        end

        private

        def mended(paper, old)
          case trap
          when :turned then paper.with_result(turned(old))
          when :swapped then paper.with_result(old.swapped)
          when :arm_twice then mend == :split ? split(paper, old) : together(paper, old)
          else paper.with_result(old.with(aside: trap))
          end
        end

        # Raises InputError (:trap) for numbers that have no opposite.
        def turned(old)
          old.with(turned: !old.turned).tap do |one|
            raise InputError, { trap: "#{one.irreversible} Its own page has a field for it." } if one.irreversible
          end
        end

        # Each of the groups has its part of the comparison group.
        def split(paper, old)
          arms = sharing(paper, old)
          arms.reduce(paper) do |now, one|
            now.with_result(one.with(allocation: one.allocation.with(shared: arms.size)))
          end
        end

        def sharing(paper, old)
          paper.reported.select { |one| one.aside.nil? && one.comparison_key == old.comparison_key }
        end

        # The first of the groups takes in the others, which stay, aside.
        def together(paper, old)
          arms = sharing(paper, old)
          joined = Appraisal::Reported::Arms.together(arms)
          arms.drop(1).map { |arm| arm.with(aside: :arm_twice) }.reduce(paper.with_result(joined)) do |now, one|
            now.with_result(one)
          end
        end
      end
    end
  end
end

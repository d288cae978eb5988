# frozen_string_literal: true

module Hobrin
  module Edits
    # Everything that can be done to the limits, and the target beside them.
    module Limits
      # What all edits of a limit that is there have in common. They are about the limits and their
      # order.
      #
      # slot :: of the limit, Symbol or String
      class LimitEdit < Edit
        STEP = :narrow
        KIND = nil

        def about(inquiry) = inquiry.limits

        # Raises GoneError when there is no such limit.
        def call(inquiry, _surroundings)
          limit = inquiry.limit(slot) or raise GoneError, "limit"
          Change.new(inquiry: inquiry.with(limits: changed(inquiry.limits, limit)), kind: self.class::KIND,
                     facts: { leaf: limit.leaf })
        end

        private

        # Hook: the limits after it.
        def changed(_limits, _limit) = raise(NotImplementedError)
      end

      # Puts a limit on: at its own place when it is there already, else last.
      #
      # leaf :: what an AppliedLimit holds
      class Apply < Edit
        STEP = :narrow
        attributes :leaf

        def about(inquiry) = inquiry.limit(leaf.slot)

        def call(inquiry, _surroundings)
          Change.new(inquiry: inquiry.with_limit(leaf), kind: :limit_put, facts: { leaf: })
        end
      end

      # Limits to journals that the library has, by their names; several mean either.
      class ApplyJournals < Edit
        STEP = :narrow
        attributes :names

        def about(inquiry) = inquiry.limit(:journal)

        # Raises InputError (:journal).
        def call(inquiry, surroundings)
          raise InputError, { journal: Book.t("edits.errors.journal") } if names.empty?

          known = names.map { |name| surroundings.vocabulary.journal(name) }
          Apply.new(leaf: Strategy::Journal.new(values: known)).call(inquiry, surroundings)
        end
      end

      # Puts a published study filter on.
      #
      # label :: such as "treatment/balanced"
      class ApplyFilter < Edit
        STEP = :narrow
        attributes :label

        def about(inquiry) = inquiry.limit(:filter)

        # Raises InputError (:filter).
        def call(inquiry, surroundings)
          Apply.new(leaf: surroundings.vocabulary.filter(label)).call(inquiry, surroundings)
        end
      end

      # Switches a limit off, or on again; it keeps its place.
      class Switch < LimitEdit
        attributes :slot
        KIND = :limit_switched

        private

        def changed(limits, limit)
          limits.map { |other| other == limit ? limit.with(on: !limit.on) : other }
        end
      end

      # Switches every limit off, each still at its place.
      class SwitchAllOff < Edit
        STEP = :narrow
        attributes

        def about(inquiry) = inquiry.limits

        def call(inquiry, _surroundings)
          off = inquiry.limits.map { |limit| limit.with(on: false) }
          Change.new(inquiry: inquiry.with(limits: off), kind: :limits_switched_off)
        end
      end

      # Moves a limit one place up; the first one stays.
      class MoveUp < LimitEdit
        attributes :slot
        KIND = :limit_moved

        private

        def changed(limits, limit)
          place = limits.index(limit)
          place.zero? ? limits : limits.dup.tap { |list| list.insert(place - 1, list.delete_at(place)) }
        end
      end

      # Takes a limit off.
      class Remove < LimitEdit
        attributes :slot
        KIND = :limit_removed

        private

        def changed(limits, limit) = limits - [limit]
      end

      # Sets how many papers a person can read.
      #
      # aim :: Narrowing::Target
      class SetTarget < Edit
        STEP = :narrow
        attributes :aim

        def about(inquiry) = inquiry.aim

        def call(inquiry, _surroundings)
          Change.new(inquiry: inquiry.with(aim:), kind: :aim_set,
                     facts: { from: aim.from, to: aim.to })
        end
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # Puts limits on, the study filter among them, takes them off, switches and moves them, and sets the aim.
    class ChangeLimits
      # seen :: see ChangeInquiry; step :: where the person is
      def initialize(context, seen: nil, step: :narrow)
        @change = ChangeInquiry.new(context, seen:)
        @step = step
      end

      # leaf :: what a PlacedLimit holds
      def put(id, leaf)
        part = ->(inquiry) { inquiry.limits.find { |limit| limit.slot == leaf.slot } }
        call(id, "Limit #{Narrowing::Wording.named(leaf)}", part) { |inquiry| inquiry.with_limit(leaf) }
      end

      # slot :: of the limit. Raises GoneError when none is there.
      def remove(id, slot)
        edit(id, slot, "Took off limit") { |limits, limit| limits - [limit] }
      end

      def switch(id, slot)
        edit(id, slot, "Switched limit") do |limits, limit|
          limits.map { |other| other == limit ? limit.with(on: !limit.on) : other }
        end
      end

      # Every limit at once: off, each still at its place.
      def all_off(id)
        @change.call(id, step: @step, part: :limits.to_proc) do |inquiry|
          [inquiry.with(limits: inquiry.limits.map { |limit| limit.with(on: false) }), "Switched all limits off"]
        end
      end

      # Moves a limit one place up; the first one stays.
      def move_up(id, slot)
        edit(id, slot, "Moved up limit") do |limits, limit|
          place = limits.index(limit)
          place.zero? ? limits : limits.dup.tap { |list| list.insert(place - 1, list.delete_at(place)) }
        end
      end

      def aim(id, aim) = call(id, "Aim #{aim.from} to #{aim.to} papers", :aim.to_proc) { |inquiry| inquiry.with(aim:) }

      private

      def edit(id, slot, verb)
        @change.call(id, step: @step, part: :limits.to_proc) do |inquiry|
          limit = inquiry.limits.find { |placed| placed.slot.to_s == slot.to_s } or raise GoneError, "limit"
          [inquiry.with(limits: yield(inquiry.limits, limit)), "#{verb} #{Narrowing::Wording.named(limit.leaf)}"]
        end
      end

      def call(id, words, part) = @change.call(id, step: @step, part:) { |inquiry| [yield(inquiry), words] }
    end
  end
end

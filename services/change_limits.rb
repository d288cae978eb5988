# frozen_string_literal: true

module Hobrin
  module Services
    # Puts limits on, takes them off, switches and moves them, and sets the aim.
    class ChangeLimits
      def initialize(context)
        @change = ChangeInquiry.new(context)
      end

      # leaf :: Strategy::Limit or Strategy::Dates
      def put(id, leaf) = call(id, "Limit #{wording(leaf)}") { |inquiry| inquiry.with_limit(leaf) }

      def remove(id, name)
        edit(id, name, "Took off limit") { |limits, limit| limits - [limit] }
      end

      def switch(id, name)
        edit(id, name, "Switched limit") do |limits, limit|
          limits.map { |other| other == limit ? limit.with(on: !limit.on) : other }
        end
      end

      # Moves a limit one place up; the first one stays.
      def move_up(id, name)
        edit(id, name, "Moved up limit") do |limits, limit|
          place = limits.index(limit)
          place.zero? ? limits : limits.dup.tap { |list| list.insert(place - 1, list.delete_at(place)) }
        end
      end

      def aim(id, aim) = call(id, "Aim #{aim.from} to #{aim.to} papers") { |inquiry| inquiry.with(aim:) }

      private

      def edit(id, name, verb)
        @change.call(id, step: :narrow) do |inquiry|
          limit = inquiry.limits.find { |placed| placed.name == name } or raise GoneError, "limit"
          [inquiry.with(limits: yield(inquiry.limits, limit)), "#{verb} #{wording(limit.leaf)}"]
        end
      end

      def call(id, words) = @change.call(id, step: :narrow) { |inquiry| [yield(inquiry), words] }

      def wording(leaf) = "#{Narrowing::Wording::NAMES.fetch(leaf.name)}: #{Narrowing::Wording.of(leaf)}"
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # Changes how a block stands to the others: joined, taken away from them, or left out; and its place in the cascade.
    class ChangeBlock
      # seen :: see ChangeInquiry; step :: where the person is
      def initialize(context, seen: nil, step: :word)
        @change = ChangeInquiry.new(context, seen:)
        @step = step
      end

      # joins :: one of Strategy::Block::JOINS. Raises GoneError when the element is not searched.
      def join(id, key, joins) = edit(id, key) { |block| block.joined(joins) }

      # Leaves the block out, or takes it in again as it stood before. Raises GoneError.
      def switch(id, key) = edit(id, key, &:switched)

      # Moves the block one place up in the cascade, among those that are joined as it is. Raises GoneError.
      def move_up(id, key)
        @change.call(id, step: @step, part: :order.to_proc) do |inquiry|
          element = searched(inquiry, key)
          blocks = inquiry.ordered_blocks
          alike = blocks.select { |block| block.joins == inquiry.block(key).joins && block.tree }.map(&:key)
          above = alike[alike.index(key).to_i - 1] if alike.index(key).to_i.positive?
          [above ? inquiry.with(order: swapped(blocks.map(&:key), above, key)) : inquiry, "Moved #{element.letter} up"]
        end
      end

      private

      def searched(inquiry, key)
        inquiry.question.searched.find { |one| one.key == key } or raise GoneError, "block"
      end

      def edit(id, key)
        @change.call(id, step: @step, part: ->(inquiry) { inquiry.block(key).joins }) do |inquiry|
          element = searched(inquiry, key)
          block = yield(inquiry.block(key))
          [inquiry.with_block(block), "#{element.letter} is #{Strategy::Block::JOINS.fetch(block.joins)}"]
        end
      end

      def swapped(keys, one, other) = keys.map { |key| { one => other, other => one }.fetch(key, key) }
    end
  end
end

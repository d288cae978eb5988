# frozen_string_literal: true

module Hobrin
  module Services
    # Changes how a block stands to the others: joined, taken away from them, or left out.
    class ChangeBlock
      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @change = ChangeInquiry.new(context, seen:)
      end

      # joins :: one of Strategy::Block::JOINS. Raises GoneError when the element is not searched.
      def join(id, key, joins)
        @change.call(id, step: :word, part: ->(inquiry) { inquiry.block(key).joins }) do |inquiry|
          element = inquiry.question.searched.find { |one| one.key == key } or raise GoneError, "block"
          [inquiry.with_block(inquiry.block(key).joined(joins)), "#{element.letter} is #{Strategy::Block::JOINS.fetch(joins)}"]
        end
      end
    end
  end
end

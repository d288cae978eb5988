# frozen_string_literal: true

module Hobrin
  module Services
    # Makes the changes that a what-if names, or lets one be offered no more.
    class TryWhatIfs
      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @reader = ReadWhatIfs.new(context)
        @change = ChangeInquiry.new(context, seen:)
      end

      # numbers :: of the changes, each among the moves at its turn. Raises GoneError when one is not there.
      def call(id, numbers)
        @change.call(id, step: :narrow, part: :state.to_proc) do |inquiry|
          words = []
          changed = numbers.reduce(inquiry) do |now, number|
            move = move(now, number)
            words << move.wording
            now.with_state(move.state)
          end
          [changed, "Tried: #{words.join(", then ")}"]
        end
      end

      def dismiss(id, number)
        @change.call(id, step: :narrow, part: :state.to_proc) do |inquiry|
          wording = move(inquiry, number).wording
          [inquiry.with(dismissed: inquiry.dismissed | [wording]), "Dismissed: #{wording}"]
        end
      end

      private

      def move(inquiry, number)
        moves = @reader.moves(inquiry)
        raise GoneError, "what-if" unless number.is_a?(Integer) && number.between?(0, moves.size - 1)

        moves[number]
      end
    end
  end
end

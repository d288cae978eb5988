# frozen_string_literal: true

module Hobrin
  module Trail
    # Where a trail can go back and forth. Going back writes a line of its own that brings an
    # earlier state back, so the trail only ever grows; a change made after going back ends what
    # could be brought forth again.
    #
    # lines :: Array of [number, number of the line whose state it brings back or nil], from 1 up
    #   without gaps
    #
    #   History.new([[1, nil], [2, nil], [3, 1]]).redo # => 2
    class History
      def initialize(lines)
        @brings_back = lines.to_h
        @last = lines.map(&:first).max
      end

      # The number of the line that going back would undo; nil at the beginning.
      def undo = (present if present && present > 1)

      # The number of the line whose state stands before the one that `undo` names; nil at the
      # beginning.
      def before = undo && at(undo - 1)

      # The number of the line that going forth would bring back, nil when nothing was undone.
      def redo
        line = @brings_back.select { |_, back| back.nil? }.keys.max
        return if line.nil? || line == present

        line = at(line - 1) until line.nil? || line == 1 || at(line - 1) == present
        line unless line == 1
      end

      # The number of the line whose state is the present one.
      def present = @last && at(@last)

      private

      def at(number) = @brings_back[number] || number
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Trail
    # What the lines of one inquiry stand for: the numbers of its trail, and the names that were
    # given to lines.
    class LineTrees
      MOST = 2**31
      private_constant :MOST

      # named :: Array of Strategy::Lines::NamedLine; size :: lines of the trail
      # The block gives the Inquiry as it was after a line, by its number; raises GoneError.
      def initialize(named, size:, &state_at)
        @named = named.to_h { |line| [line.name, line.tree] }
        @size = size
        @state_at = state_at
      end

      # The tree with every line in it replaced by what it stands for. Raises InputError (:line).
      def resolve(tree) = Strategy::Lines.new(trees(Strategy::Lines.names(tree))).resolve(tree)

      private

      # Only the lines that are asked for are read, but all are known, so that a wrong name gets a
      # hint.
      def trees(names, found = {})
        names.each do |name|
          next if found.key?(name)

          found[name] = @named[name] || state(name) or raise InputError, { line: missing(name) }
          trees(Strategy::Lines.names(found[name]), found)
        end
        found
      end

      def state(name)
        number = Integer(name, 10, exception: false)
        @state_at.call(number).tree if number&.between?(1, MOST)
      rescue GoneError
        nil
      end

      def missing(name)
        known = [*@named.keys, *(1..@size).map(&:to_s)]
        return Book.t("trail.line.no_search", name:) if known.include?(name)

        Book.t("trail.line.missing", name:) + Text::Nearest.hint(name, known)
      end
    end
  end
end

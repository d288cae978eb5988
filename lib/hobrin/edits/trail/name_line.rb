# frozen_string_literal: true

module Hobrin
  module Edits
    module Trail
      # Names a line, or joins, meets and subtracts lines into a new one.
      #
      # name :: String; tree :: of Strategy::Line leaves, see Strategy::LineNotation
      class NameLine < Edit
        MOST = 60
        attributes :name, :tree
        private_constant :MOST

        # Raises InputError (:name) for one that is taken or no name, (:notation) for lines that are
        # not there.
        def call(inquiry, surroundings)
          line = Strategy::NamedLine.new(name:, tree:)
          refuse("There is a line “#{line.name}” already.") if inquiry.lines.any? do |one|
            one.name == line.name
          end
          refuse("#{MOST} named lines are the most.") if inquiry.lines.size >= MOST

          InputError.at(:notation) { surroundings.trail.resolve(tree, inquiry) }
          Change.new(inquiry: inquiry.with(lines: [*inquiry.lines, line]), kind: :line_named,
                     facts: { name: line.name, rule: line.rule })
        end

        private

        def refuse(message) = raise(InputError, { name: message })
      end
    end
  end
end

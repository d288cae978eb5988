# frozen_string_literal: true

module Hobrin
  module Edits
    module Trail
      # Takes a named line off.
      class RemoveLine < Edit
        attributes :name

        def about(inquiry) = inquiry.lines

        # Raises GoneError; InputError (:name) while another line is made of it.
        def call(inquiry, _surroundings)
          line = inquiry.lines.find { |line| line.name == name } or raise GoneError, "line"
          user = inquiry.lines.find { |line| Strategy::Lines.names(line.tree).include?(name) }
          raise InputError, { name: "“#{user.name}” is made of “#{name}”: take that one off first." } if user

          Change.new(inquiry: inquiry.with(lines: inquiry.lines - [line]), kind: :line_removed,
                     facts: { name: })
        end
      end
    end
  end
end

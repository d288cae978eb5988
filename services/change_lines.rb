# frozen_string_literal: true

module Hobrin
  module Services
    # Names lines, and joins, meets and subtracts them into new ones.
    class ChangeLines
      MOST = 60
      private_constant :MOST

      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @context = context
        @change = ChangeInquiry.new(context, seen:)
      end

      # notation :: see Strategy::LineNotation; a single line in it is given a name.
      # Gives the Strategy::NamedLine. Raises InputError (:name, :notation).
      def make(id, name, notation)
        tree = Strategy::LineNotation.read(notation)
        step = @context.inquiries.find(id).step
        line = Strategy::NamedLine.new(name:, tree:)
        @change.call(id, step:) do |inquiry|
          refuse(inquiry, line)
          known(id, inquiry, tree)
          [inquiry.with(lines: [*inquiry.lines, line]), "Named line “#{line.name}”: #{line.rule}"]
        end
        line
      end

      # Raises GoneError; InputError (:name) while another line is made of it.
      def remove(id, name)
        step = @context.inquiries.find(id).step
        @change.call(id, step:, part: :lines.to_proc) do |inquiry|
          line = inquiry.lines.find { |one| one.name == name } or raise GoneError, "line"
          user = inquiry.lines.find { |one| Strategy::Lines.names(one.tree).include?(name) }
          raise InputError, { name: "“#{user.name}” is made of “#{name}”: take that one off first." } if user

          [inquiry.with(lines: inquiry.lines - [line]), "Took off the named line “#{name}”"]
        end
      end

      private

      def refuse(inquiry, line)
        taken = inquiry.lines.any? { |one| one.name == line.name }
        raise InputError, { name: "There is a line “#{line.name}” already." } if taken
        raise InputError, { name: "#{MOST} named lines are the most." } if inquiry.lines.size >= MOST
      end

      def known(id, inquiry, tree)
        TrailLines.new(@context, id, inquiry).resolve(tree)
      rescue InputError => e
        raise InputError, { notation: e.errors.values.first }
      end
    end
  end
end

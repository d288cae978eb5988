# frozen_string_literal: true

module Hobrin
  module Web
    # What every page has that can be wrong: the messages to what was typed. A page reads all it shows while it is
    # made, and is frozen then: a template only draws it.
    class Page
      include Formatting

      # Hash of field to message.
      attr_reader :errors

      def initialize(errors: {})
        @errors = errors
      end

      # The version of an inquiry that forms send along; nil where there is none.
      def version = nil

      # The message to a field, nil for none.
      def message(field) = errors[field.to_sym]

      # A part of a long list: what is shown of it, and the ways to what stands before and after.
      class Portion < Value
        # shown :: Array; from :: place of the first, from 1; total :: of the whole list; before, after
        #   :: places that the parts beside begin at, or nil
        attributes :shown, :from, :total, :before, :after

        SIZE = 100

        # list :: Array; from :: place of the first to be shown, from 1; with :: place of one that must
        #   be among them, where nothing else was asked for
        def self.of(list, from: nil, with: nil, size: SIZE)
          from = from.is_a?(Integer) ? from.clamp(1, [list.size, 1].max) : (((with || 1) - 1) / size * size) + 1
          after = from + size
          new(shown: list[from - 1, size] || [], from:, total: list.size, before: from > 1 ? [from - size, 1].max : nil,
              after: after <= list.size ? after : nil)
        end

        def whole? = before.nil? && after.nil?
        def upto = from + shown.size - 1
      end
    end
  end
end

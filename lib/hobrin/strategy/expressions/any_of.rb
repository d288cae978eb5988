# frozen_string_literal: true

module Hobrin
  module Strategy
    # The union of its parts (OR). The same words in several fields, and several values of one
    # limit, are one leaf: that is what such a leaf means.
    class AnyOf < BooleanExpression
      class << self
        private

        def merged(parts)
          parts.group_by { |part| alike(part) || part }.values.map do |same|
            same.reduce { |one, two| both(one, two) }
          end
        end

        def alike(part)
          case part
          when TextTerm then [:words, part.text]
          when WholeText then [:whole, part.text]
          when Proximity then [:near, part.left, part.right, part.distance, part.ordered]
          when Limit, Journal then [:limit, part.name]
          end
        end

        def both(one, two)
          case one
          when Limit, Journal then one.with(values: one.values | two.values)
          else one.with(fields: one.fields | two.fields)
          end
        end
      end
    end
  end
end

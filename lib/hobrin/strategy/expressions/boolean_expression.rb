# frozen_string_literal: true

module Hobrin
  module Strategy
    # What AnyOf and AllOf have in common: two parts or more, kept in one canonical shape.
    class BooleanExpression < Expression
      attributes :parts

      private_class_method :new

      class << self
        # The parts joined; a single part stands for itself, parts of the same kind are taken in,
        # and a part said twice counts once. Raises ArgumentError for no part.
        def of(parts)
          raise ArgumentError, "needs at least one part" if parts.empty?

          flat = merged(parts.flat_map { |part| part.instance_of?(self) ? part.parts : [part] }.uniq)
          flat.size == 1 ? flat.first : new(parts: flat)
        end

        private

        # Hook for parts that are one and the same leaf said in two halves.
        def merged(parts) = parts
      end
    end
  end
end

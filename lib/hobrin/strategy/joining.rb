# frozen_string_literal: true

module Hobrin
  module Strategy
    # What AnyOf and AllOf have in common: parts, at least one.
    class Joining < Value
      attributes :parts

      # The parts joined; a single part stands for itself, and parts of the same kind are taken in.
      def self.of(parts)
        flat = parts.flat_map { |part| part.instance_of?(self) ? part.parts : [part] }.uniq
        flat.size == 1 ? flat.first : new(parts: flat)
      end

      def initialize(parts:)
        raise ArgumentError, "needs at least one part" if parts.empty?

        super
      end
    end
  end
end

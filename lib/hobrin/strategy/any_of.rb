# frozen_string_literal: true

module Hobrin
  module Strategy
    # The union of its parts (OR).
    class AnyOf < Value
      attributes :parts

      # The parts joined; a single part stands for itself, and parts of the same kind are taken in.
      def self.of(parts)
        flat = parts.flat_map { |part| part.is_a?(AnyOf) ? part.parts : [part] }.uniq
        flat.size == 1 ? flat.first : new(parts: flat)
      end

      def initialize(parts:)
        raise ArgumentError, "needs at least one part" if parts.empty?

        @parts = parts.dup.freeze
        freeze
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Strategy
    # Any part of a tree, and what blocks are made of. They are looked up in caches all the time, so
    # each works out its hash once.
    class Expression < Value
      attr_reader :hash

      def freeze
        @hash = [self.class, *parts_of_value].hash
        super
      end

      # Two nodes of different hash are different; asking that first saves most comparisons.
      def ==(other)
        equal?(other) || (other.instance_of?(self.class) && other.hash == hash && super)
      end
      alias eql? ==
    end
  end
end

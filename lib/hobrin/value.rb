# frozen_string_literal: true

module Hobrin
  # The root of the plain values: equal by content, copied with changes, never altered.
  #
  # A subclass declares its attributes. One that has rules about them writes its own keyword
  # constructor, which checks what it gets and ends in `freeze`.
  #
  #   Aim.new(from: 20, to: 40).with(to: 30) # => Aim 20 to 30, the first one unchanged
  class Value
    class << self
      # Declares the readers that take part in equality, copies and `to_h`.
      def attributes(*names)
        attr_reader(*names)

        @attribute_names = names.freeze
        @variables = names.map { |name| :"@#{name}" }.freeze
      end

      def attribute_names = @attribute_names || superclass.attribute_names

      # The attributes as instance variables, which is the fast way to all of them.
      def variables = @variables || superclass.variables
    end

    # Takes every attribute by its name. Raises ArgumentError for one that is missing or unknown.
    def initialize(**given)
      names = self.class.attribute_names
      unless given.size == names.size && names.all? { |name| given.key?(name) }
        raise ArgumentError, "#{self.class} takes #{names.join(", ")}"
      end

      self.class.variables.zip(given.values_at(*names)) do |variable, value|
        instance_variable_set(variable, value.is_a?(Array) ? value.dup.freeze : value)
      end
      freeze
    end

    # A copy with some attributes changed; raises what the constructor raises.
    def with(**changes) = self.class.new(**to_h, **changes)

    # The attributes by name, in the order of declaration; the values are not converted.
    def to_h = self.class.attribute_names.to_h { |name| [name, public_send(name)] }

    def ==(other)
      equal?(other) || (other.instance_of?(self.class) && other.parts_of_value == parts_of_value)
    end
    alias eql? ==

    def hash = [self.class, *parts_of_value].hash

    protected

    def parts_of_value = self.class.variables.map { |name| instance_variable_get(name) }
  end
end

# frozen_string_literal: true

module Hobrin
  # Something a person typed or sent that they can mend. It carries a message for each field.
  #
  #   InputError.new(from_year: "Write a year such as 2016.").errors # => { from_year: "Write…" }
  class InputError < Error
    attr_reader :errors

    # Runs the block; what it refuses is said at another field, where the person typed it.
    #
    #   InputError.at(:typed) { Strategy::TextTerm.read("") } # raises an InputError of :typed
    def self.at(field)
      yield
    rescue InputError => e
      raise InputError, { field => e.message }
    end

    # errors :: a Hash of field name (Symbol) to message, at least one
    def initialize(errors)
      raise ArgumentError, "an input error needs at least one field" if errors.empty?

      @errors = errors.freeze
      super(errors.values.join(" "))
    end
  end
end

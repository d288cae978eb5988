# frozen_string_literal: true

module Hobrin
  module Web
    module Pages
      # What every page has that can be wrong: the messages to what was typed.
      class Page
        include Formatting

        # Hash of field to message.
        attr_reader :errors

        def initialize(errors: {})
          @errors = errors
          @told = []
        end

        # The version of an inquiry that forms send along; nil where there is none.
        def version = nil

        # The message to a field, nil for none. Once asked for, it counts as told.
        def message(field)
          text = errors[field.to_sym]
          @told << field.to_sym if text
          text
        end

        # Messages that no field has shown: nothing is refused in silence.
        def untold = errors.except(*@told).values
      end
    end
  end
end

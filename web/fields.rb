# frozen_string_literal: true

module Hobrin
  module Web
    # Untrusted parameters to typed values, once. A parameter of the wrong shape (a list where text
    # is expected) counts as missing.
    class Fields
      def initialize(params)
        @params = params
        freeze
      end

      # Text, "" when missing; line ends as \n.
      def text(name)
        @params[name.to_s].then { |value| value.is_a?(String) ? value.gsub(/\r\n?/, "\n") : "" }
      end

      # The names of all that was sent.
      def names = @params.keys

      # Whether a parameter was sent at all.
      def sent?(name) = @params.key?(name.to_s)

      # Text, nil when missing or blank.
      def some_text(name) = text(name).then { |value| value.strip.empty? ? nil : value.strip }

      def list(name) = Array(@params[name.to_s]).grep(String)

      def checked?(name) = text(name) == "yes"

      # A whole number, nil when missing or blank, the text itself when it is no number: values
      # refuse that.
      def number(name)
        value = some_text(name) or return
        Integer(value.delete(" \u2009,"), 10, exception: false) || value
      end

      # The name among `known` (Symbols) that was sent, or nil.
      def one_of(name, known) = known.find { |choice| choice.to_s == text(name) }

      # Parts of a nested parameter, as Fields.
      def nested(name)
        Fields.new(@params[name.to_s].then { |value| value.is_a?(Hash) ? value : {} })
      end
    end
  end
end

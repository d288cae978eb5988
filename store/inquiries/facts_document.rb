# frozen_string_literal: true

module Hobrin
  module Store
    # The facts of a trail line to and from JSON text: plain values, and expressions by their tags.
    module FactsDocument
      class << self
        def dump(facts) = JSON.generate(plain(facts))

        # Gives a Hash with Symbols for keys.
        def load(text) = value(JSON.parse(text, symbolize_names: true))

        private

        def plain(value)
          case value
          when Strategy::Expression then ExpressionDocument.dump(value)
          when Hash then value.transform_values { |part| plain(part) }
          when Array then value.map { |part| plain(part) }
          else value
          end
        end

        # Facts have no `is` of their own: it is what marks an expression.
        def value(data)
          case data
          when Hash then data.key?(:is) ? ExpressionDocument.load(data) : data.transform_values { |part| value(part) }
          when Array then data.map { |part| value(part) }
          else data
          end
        end
      end
    end
  end
end

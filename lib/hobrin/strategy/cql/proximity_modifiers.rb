# frozen_string_literal: true

module Hobrin
  module Strategy
    module Cql
      # Reads the modifiers of prox: distance (1 unless said otherwise), unit (only word), ordered
      # or unordered.
      module ProximityModifiers
        NAMES = %w[distance unit ordered unordered].freeze
        private_constant :NAMES

        class << self
          # modifiers :: Array of Parser::Modifier. Gives { distance:, ordered: }. Raises
          #   Cql::Error.
          def call(modifiers)
            modifiers.reduce({ distance: 1, ordered: false }) do |found, modifier|
              found.merge(read(modifier))
            end
          end

          private

          def read(modifier)
            case modifier.name.text.downcase.delete_prefix("cql.")
            when "distance" then { distance: distance(modifier) }
            when "unit" then unit(modifier)
            when "ordered" then { ordered: true }
            when "unordered" then { ordered: false }
            else
              hint = Text::Nearest.hint(modifier.name.text, NAMES)
              raise Error.new(modifier.name,
                              message: Book.t("strategy.cql.no_prox_modifier", name: modifier.name.text, hint:), about: :boolean)
            end
          end

          def distance(modifier)
            number = Integer(modifier.value&.text.to_s, 10, exception: false)
            allowed = { "<=" => 0, "<" => -1 }[modifier.comparison&.text]
            raise Error.new(modifier.name, message: Book.t("strategy.cql.distance")) unless number && allowed

            number + allowed
          end

          def unit(modifier)
            return {} if modifier.value&.text&.downcase == "word" && modifier.comparison.text == "="

            raise Error.new(modifier.value || modifier.name,
                            message: Book.t("strategy.cql.distance_unit"))
          end
        end
      end
    end
  end
end

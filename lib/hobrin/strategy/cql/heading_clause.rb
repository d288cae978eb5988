# frozen_string_literal: true

module Hobrin
  module Strategy
    module Cql
      # Reads a clause about a heading: dc.subject
      # =/hobrin.narrower/hobrin.main/hobrin.aspect="nursing" "Delirium"
      class HeadingClause
        NAMES = %w[hobrin.narrower hobrin.main hobrin.aspect].freeze
        SAME = %w[= == exact scr].freeze
        private_constant :NAMES, :SAME

        def initialize(vocabulary)
          @vocabulary = vocabulary
        end

        # clause :: Parser::Clause. Gives a Heading. Raises Cql::Error, or InputError for the term.
        def call(clause)
          unless SAME.include?(clause.relation.text.downcase)
            raise Error.new(clause.relation, expected: "= after “dc.subject”", about: :relation)
          end

          # Only an unescaped * stands for any heading.
          label = clause.term.text == Heading::ANY ? Heading::ANY : @vocabulary.heading(clause.term.plain)
          names = clause.modifiers.map { |modifier| name_of(modifier) }
          narrower = names.include?("hobrin.narrower")
          Heading.new(label:, narrower:, main: names.include?("hobrin.main"),
                      aspects: aspects(clause, label, narrower))
        end

        private

        def name_of(modifier)
          name = modifier.name.text.downcase
          return name if NAMES.include?(name) && (name == "hobrin.aspect") == !modifier.value.nil?

          raise Error.new(modifier.name,
                          expected: "/hobrin.narrower, /hobrin.main or /hobrin.aspect=\"…\"", about: :modifier)
        end

        def aspects(clause, label, narrower)
          clause.modifiers.select(&:value).flat_map do |modifier|
            @vocabulary.aspects(label, [modifier.value.plain], narrower:)
          rescue InputError => e
            raise Error.new(modifier.value, message: e.message)
          end
        end
      end
    end
  end
end

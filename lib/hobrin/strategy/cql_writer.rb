# frozen_string_literal: true

module Hobrin
  module Strategy
    # Writes a tree as CQL (OASIS searchRetrieve 1.0, part 5): the one canonical text of a tree. It
    # always writes its parentheses, since CQL gives all Booleans one precedence.
    #
    #   CqlWriter.call(Words.read("ear plug*")) # => 'hobrin.text adj "ear plug*"'
    module CqlWriter
      FIELD_INDEX = { title: "dc.title", abstract: "dc.description", keywords: "hobrin.keywords" }.freeze
      LIMIT_INDEX = { type: "dc.type", age: "hobrin.age" }.freeze
      private_constant :FIELD_INDEX, :LIMIT_INDEX

      class << self
        # A tree in; a String out.
        def call(tree)
          case tree
          when AnyOf then nested(tree.parts, "or")
          when AllOf then nested(tree.parts, "and")
          when Except then "(#{call(tree.kept)} not #{call(tree.taken)})"
          else leaf(tree)
          end
        end

        private

        def nested(parts, boolean) = "(#{parts.map { |part| call(part) }.join(" #{boolean} ")})"

        def leaf(leaf)
          case leaf
          when Words then words(leaf)
          when Heading then heading(leaf)
          when Limit then values(LIMIT_INDEX.fetch(leaf.name), leaf.values)
          when Dates then dates(leaf)
          else raise ArgumentError, "cannot write #{leaf.class}"
          end
        end

        def words(leaf)
          indexes = leaf.fields.size == Words::FIELDS.size ? ["hobrin.text"] : leaf.fields.map { |field| FIELD_INDEX.fetch(field) }
          either(indexes.map { |index| "#{index} #{leaf.phrase? ? "adj" : "="} #{quoted(leaf.text)}" })
        end

        def heading(leaf)
          modifiers = "#{"/hobrin.narrower" if leaf.narrower}#{"/hobrin.main" if leaf.main}"
          "dc.subject =#{modifiers} #{quoted(leaf.label)}"
        end

        def dates(leaf)
          return "dc.date >= #{leaf.from_year}" unless leaf.to_year
          return "dc.date <= #{leaf.to_year}" unless leaf.from_year

          "dc.date within \"#{leaf.from_year} #{leaf.to_year}\""
        end

        def values(index, values) = either(values.map { |value| "#{index} = #{quoted(value)}" })

        def either(clauses) = clauses.size == 1 ? clauses.first : "(#{clauses.join(" or ")})"

        def quoted(text) = "\"#{text.gsub(/[\\"]/) { |char| "\\#{char}" }}\""
      end
    end
  end
end

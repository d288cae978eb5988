# frozen_string_literal: true

module Hobrin
  module Store
    # Expressions of a search to and from plain data that JSON can hold. Each is known by a tag of
    # its own and each of its parts by a stored name, so that a class or an attribute can be renamed
    # and what was stored can still be read.
    module ExpressionDocument
      # Tag to [class, Hash of stored name to attribute].
      LEAVES = {
        "text" => [Strategy::TextTerm, { text: :text, fields: :fields }],
        "whole" => [Strategy::WholeText, { text: :text, fields: :fields }],
        "near" => [Strategy::Proximity, { left: :left, right: :right, distance: :distance, ordered: :ordered,
                                          fields: :fields }],
        "heading" => [Strategy::Heading,
                      { label: :label, narrower: :narrower, main: :main, aspects: :aspects }],
        "author" => [Strategy::Author, { family: :family, initials: :initials }],
        "journal" => [Strategy::Journal, { values: :values }],
        "identifier" => [Strategy::Identifier, { value: :value }],
        "limit" => [Strategy::Limit, { name: :name, values: :values }],
        "dates" => [Strategy::Dates, { name: :name, from: :from, to: :to }],
        "filter" => [Strategy::Filters::Filter, { kind: :kind, width: :width }],
        "own_filter" => [Strategy::Filters::OwnFilter, { title: :title, tree: :tree }],
        "line" => [Strategy::Lines::Line, { name: :name }],
        "everything" => [Strategy::Everything, {}]
      }.freeze
      TAGS = LEAVES.to_h { |tag, (kind, _)| [kind, tag] }.freeze
      # Attributes whose values are Symbols.
      NAMED = { "text" => :fields, "whole" => :fields, "near" => :fields, "limit" => :name,
                "dates" => :name }.freeze
      private_constant :LEAVES, :TAGS, :NAMED

      # Writes a tree as nested Hashes.
      class Dumping < Strategy::TreeWalker
        private

        def any_of(_tree, parts) = { is: "any", parts: }
        def all_of(_tree, parts) = { is: "all", parts: }
        def except(_tree, kept, excluded) = { is: "except", kept:, excluded: }

        def leaf(leaf)
          tag = TAGS.fetch(leaf.class)
          { is: tag, **LEAVES.fetch(tag).last.transform_values { |attribute| part(leaf.public_send(attribute)) } }
        end

        def part(value) = value.is_a?(Strategy::Expression) ? call(value) : value
      end
      private_constant :Dumping

      class << self
        # expression :: Strategy::Expression. Gives a Hash.
        def dump(expression) = Dumping.new.call(expression)

        # data :: Hash with Symbols for keys. Raises KeyError for a tag that is not known.
        def load(data)
          case data
          in { is: "any", parts: } then Strategy::AnyOf.of(parts.map { |part| load(part) })
          in { is: "all", parts: } then Strategy::AllOf.of(parts.map { |part| load(part) })
          in { is: "except", kept:, excluded: }
            Strategy::Except.new(kept: load(kept), excluded: load(excluded))
          in { is: tag } then leaf(tag, data)
          end
        end

        private

        def leaf(tag, data)
          kind, attributes = LEAVES.fetch(tag)
          given = attributes.to_h { |stored, attribute| [attribute, data.fetch(stored)] }
          named = NAMED[tag]
          given[named] = symbols(given[named]) if named
          given[:tree] = load(given[:tree]) if given.key?(:tree)
          kind.new(**given)
        end

        def symbols(value) = value.is_a?(Array) ? value.map(&:to_sym) : value.to_sym
      end

      # The facts of a trail line to and from JSON text: plain values, and expressions by their tags.
      module Facts
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
end

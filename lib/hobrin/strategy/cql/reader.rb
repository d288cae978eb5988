# frozen_string_literal: true

module Hobrin
  module Strategy
    module Cql
      # Gives what the parser found its meaning: a tree.
      class Reader
        def initialize(vocabulary)
          @clauses = Clauses.new(vocabulary)
        end

        # node :: Parser::Clause or Parser::Chain. Gives a tree. Raises Cql::Error.
        def call(node)
          return @clauses.call(node) if node.is_a?(Parser::Clause)

          runs(node.links).reduce(call(node.first)) { |left, run| join(left, run) }
        end

        private

        # Links with the same operator in a row are read at once; only a chain of prox cannot be.
        def runs(links) = links.slice_when { |one, two| operator(one) != operator(two) }

        def operator(link) = link.operator.text.downcase

        def join(left, run)
          return run.reduce(left) { |near, link| near(near, link) } if operator(run.first) == "prox"

          run.each { |link| plain_boolean(link) }
          right = run.map { |link| call(link.right) }
          case operator(run.first)
          when "and" then AllOf.of([left, *right])
          when "or" then AnyOf.of([left, *right])
          when "not" then right.reduce(left) { |kept, excluded| Except.new(kept:, excluded:) }
          end
        end

        def plain_boolean(link)
          strange = link.modifiers.first or return
          raise Error.new(strange.name,
                          message: Book.t("strategy.cql.no_modifiers", operator: link.operator.text), about: :boolean)
        end

        def near(left, link)
          right = call(link.right)
          unless left.is_a?(TextTerm) && right.is_a?(TextTerm) && left.fields == right.fields
            raise Error.new(link.operator,
                            message: Book.t("strategy.cql.prox_same_index"))
          end

          Proximity.new(left: left.text, right: right.text, fields: left.fields,
                        **ProximityModifiers.call(link.modifiers))
        rescue InputError => e
          raise if e.is_a?(Error)

          raise Error.new(link.operator, message: e.message)
        end
      end
    end
  end
end

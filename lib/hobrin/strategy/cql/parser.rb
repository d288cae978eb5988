# frozen_string_literal: true

module Hobrin
  module Strategy
    module Cql
      # Reads the grammar of CQL: clauses, and chains of them joined by Booleans of one precedence,
      # which run from left to right. What a clause means is not its business.
      class Parser
        # index, relation :: Token or nil when left out; modifiers :: Array of Modifier; term ::
        #   Token
        class Clause < Value
          attributes :index, :relation, :modifiers, :term
        end

        # first :: Clause or Chain; links :: Array of Link
        class Chain < Value
          attributes :first, :links
        end

        # operator :: Token (and, or, not, prox); modifiers :: Array of Modifier; right :: Clause or
        #   Chain
        class Link < Value
          attributes :operator, :modifiers, :right
        end

        # name :: Token; comparison, value :: Token or nil
        class Modifier < Value
          attributes :name, :comparison, :value
        end

        BOOLEANS = %w[and or not prox].freeze
        RELATIONS = %w[any all adj within exact encloses scr cql.any cql.all cql.adj cql.within
                       cql.exact].freeze
        DEEPEST = 60
        MOST_CLAUSES = 1_000
        # The context sets whose short names may be given in the text itself.
        CONTEXTS = { "cql" => %r{\Ainfo:srw/cql-context-set/1/cql-v1\.[12]\z},
                     "dc" => %r{\Ainfo:srw/cql-context-set/1/dc-v1\.1\z}, "hobrin" => /\Ahobrin\z/ }.freeze
        private_constant :RELATIONS, :DEEPEST, :MOST_CLAUSES, :CONTEXTS

        def initialize(text)
          @tokens = Lexer.call(text)
          @place = 0
          @depth = 0
          @clauses = 0
        end

        # Gives a Clause or a Chain. Raises Cql::Error.
        def call
          tree = query
          unless now.kind == :end
            refuse(Book.t("strategy.cql.#{now.kind == :close ? "operator_or_end" : "operator_end_or_quotes"}"))
          end
          tree
        end

        private

        def now = @tokens[@place]
        def ahead = @tokens[@place + 1]
        def take = now.tap { @place += 1 }
        def boolean?(token) = token.word?(*BOOLEANS)
        def operand?(token) = %i[word quoted].include?(token.kind)

        def query
          outside = @default
          prefix while now.kind == :comparison && now.text == ">"
          first = clause
          links = []
          links << Link.new(operator: take, modifiers:, right: clause) while boolean?(now)
          refuse_order if now.word?("sortby")
          @default = outside
          links.empty? ? first : Chain.new(first:, links:)
        end

        # > dc = "info:srw/cql-context-set/1/dc-v1.1", or without the name: then it is the set that
        # names without a dot belong to.
        def prefix
          take
          name = expect(Book.t("strategy.cql.prefix")) { operand?(now) }
          return unnamed(name) unless now.kind == :comparison && now.text == "="

          take
          uri = expect(Book.t("strategy.cql.address")) { operand?(now) }
          return if CONTEXTS[name.text]&.match?(uri.plain)

          known = CONTEXTS.keys.join(", ")
          raise Error.new(uri,
                          message: Book.t("strategy.cql.fixed_prefix", name: name.text, known:))
        end

        def unnamed(uri)
          @default, = CONTEXTS.find { |_, pattern| pattern.match?(uri.plain) }
          raise Error.new(uri, message: Book.t("strategy.cql.no_context", address: uri.text)) unless @default
        end

        def refuse_order
          raise Error.new(now,
                          message: Book.t("strategy.cql.sort_by"), about: :order)
        end

        def clause
          return nested if now.kind == :open

          count_clause
          refuse(Book.t("strategy.cql.word_or_bracket")) if !operand?(now) || (boolean?(now) && !term?(ahead))
          first = take
          return Clause.new(index: nil, relation: nil, modifiers: [], term: first) unless relation?(now)

          relation = take
          with = modifiers
          term = expect(Book.t("strategy.cql.term_after", relation: relation.text)) { operand?(now) }
          Clause.new(index: in_its_set(first), relation:, modifiers: with, term:)
        end

        def in_its_set(index)
          @default && !index.text.include?(".") ? index.with(text: "#{@default}.#{index.text}") : index
        end

        # A Boolean's word is a term where nothing follows that it could join (the grammar of CQL 1.2
        # allows "and" as a term).
        def term?(following)
          !operand?(following) && following.kind != :open || boolean?(following) || relation?(following)
        end

        def relation?(token) = token.kind == :comparison || token.word?(*RELATIONS)

        def nested
          @depth += 1
          raise Error.new(now, message: Book.t("strategy.cql.too_deep", most: DEEPEST)) if @depth > DEEPEST

          take
          inner = query
          expect(Book.t("strategy.cql.operator_or_bracket")) { now.kind == :close }
          @depth -= 1
          inner
        end

        def modifiers
          found = []
          found << modifier while now.kind == :slash
          found
        end

        # After a relation's modifiers comes its term, so a comparison here always belongs to the
        # modifier.
        def modifier
          take
          name = expect(Book.t("strategy.cql.modifier_name")) { now.kind == :word }
          return Modifier.new(name:, comparison: nil, value: nil) unless now.kind == :comparison

          comparison = take
          Modifier.new(name:, comparison:, value: expect(Book.t("strategy.cql.value_after", modifier: comparison.text)) { operand?(now) })
        end

        def count_clause
          @clauses += 1
          raise Error.new(now, message: Book.t("strategy.cql.too_many_parts", most: MOST_CLAUSES)) if @clauses > MOST_CLAUSES
        end

        def expect(what)
          refuse(what) unless yield

          take
        end

        def refuse(expected) = raise(Error.new(now, expected:))
      end
    end
  end
end

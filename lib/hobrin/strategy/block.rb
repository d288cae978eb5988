# frozen_string_literal: true

module Hobrin
  module Strategy
    # The names of one element, joined by OR, without what some of them take away.
    #
    # key   :: the element's key; terms :: Array of Term, in the person's order
    # operator :: how it stands to the other blocks: :and, :not (taken away from them), or :out
    #   (left out of the join)
    # previous_operator :: how it stood before it was left out, :and or :not
    class Block < Expression
      attributes :key, :terms, :operator, :previous_operator

      OPERATORS = Book.names("strategy.operator", %i[and not out])
      MOST_TERMS = 200
      private_constant :MOST_TERMS

      # Raises InputError (:typed) past two hundred terms, (:operator) for an unknown way to join.
      def initialize(key:, terms: [], operator: :and, previous_operator: :and)
        raise InputError, { typed: Book.t("strategy.errors.most_terms", most: MOST_TERMS) } if terms.size > MOST_TERMS

        @key = key.dup.freeze
        raise InputError, { operator: Book.t("strategy.errors.combine") } unless OPERATORS.key?(operator)

        @terms = terms.dup.freeze
        @operator = operator
        @previous_operator = operator == :out ? previous_operator : operator
        @late = {}
        freeze
      end

      # The block joined in another way; switched off (left out), or on again as it was.
      def with_operator(way)
        with(operator: way, previous_operator: operator == :out ? previous_operator : operator)
      end

      def switched = with_operator(operator == :out ? previous_operator : :out)

      # Whether no more terms go in.
      def full? = terms.size >= MOST_TERMS

      def in_use = terms.select(&:in_use?)
      def excluded = terms.select(&:excluded?)
      def term(id) = terms.find { |term| term.id == id }

      # Whether a leaf stands in this block already, in use or crossed out.
      def holds?(leaf) = terms.any? { |term| term.leaf == leaf }

      # Whether any of its terms is in use.
      def filled? = terms.any?(&:in_use?)

      # The OR of the terms in use, without what others take away; nil when none is in use. Worked
      # out when it is first asked for, and once: most what-ifs need only the sets of its leaves.
      def tree = @late.fetch(:tree) { @late[:tree] = tree_of_terms }

      # The block with one term moved up or down among the others, by as many places; as it is at
      # the ends.
      def moved(id, by)
        from = terms.index { |term| term.id == id }
        to = from && (from + by)
        return self unless to&.between?(0, terms.size - 1)

        with(terms: terms.dup.tap { |list| list.insert(to, list.delete_at(from)) })
      end

      # The block with a leaf added at its end. id :: of the new term; one that this block has not
      # unless said otherwise
      def with_leaf(leaf, id: (terms.map(&:id).max || 0) + 1)
        with(terms: [*terms, Term.new(id:, leaf:)])
      end

      # The block with one term replaced by what the block gives; removed when it gives nil.
      def replace(id) = with(terms: terms.filter_map { |term| term.id == id ? yield(term) : term })

      # The block with every term that was crossed out in use again.
      def restored = with(terms: terms.map { |term| term.crossed_out? ? term.with(crossed_out: nil) : term })

      private

      def tree_of_terms
        return if in_use.empty?

        found = AnyOf.of(in_use.map(&:leaf))
        excluded.empty? ? found : Except.new(kept: found, excluded: AnyOf.of(excluded.map(&:leaf)))
      end

      # One name in a block: a leaf of the tree with an id that stays while it is changed.
      #
      # leaf :: TextTerm, Proximity, Heading, Author or Journal; crossed_out :: nil while in use, else
      #   the reason it stays in sight
      # but out of the search ("" when none was given); excluded :: whether what it finds is taken
      # away (NOT)
      class Term < Expression
        attributes :id, :leaf, :crossed_out, :excluded

        LEAVES = [TextTerm, Proximity, Heading, Author, Journal].freeze

        def initialize(id:, leaf:, crossed_out: nil, excluded: false)
          FieldLengths.check(:term_reason, crossed_out, at: :reason)
          @id = id
          @leaf = leaf
          @crossed_out = crossed_out&.dup.freeze
          @excluded = excluded ? true : false
          freeze
        end

        # Whether it finds papers for its block; whether it takes papers from it.
        def in_use? = crossed_out.nil? && !excluded
        def excluded? = crossed_out.nil? && excluded
        def crossed_out? = !crossed_out.nil?
        def heading? = leaf.is_a?(Heading)
        def label = leaf.label
      end
    end
  end
end

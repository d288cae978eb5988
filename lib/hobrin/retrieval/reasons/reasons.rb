# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Why a record is in a set: which leaves of the tree it answers, and where in its text.
    class Reasons
      # leaf :: a leaf of the tree; places :: Hash of field to [[first character, one past the
      #   last], …], empty for what
      # is no text; headings :: the Indexings of the record that a Heading leaf found it by
      class Reason < Value
        attributes :leaf, :places, :headings
      end

      def initialize(evaluator)
        @evaluator = evaluator
      end

      # tree :: what was searched; number :: of the record in the index; record :: the Record.
      # Gives an Array of Reason in the order of the tree; empty when the tree does not find the
      # record.
      def call(tree, number, record)
        return [] unless @evaluator.call(tree).include?(number)

        leaves = Leaves.new(@evaluator.filters).call(tree).uniq
        leaves.select { |leaf| @evaluator.call(leaf).include?(number) }.map { |leaf| reason(leaf, record) }
      end

      # The parts of a tree that keep a record out: what it lacks, or what Except takes away. Empty
      # when it is found.
      def missing(tree, number) = Missing.new(@evaluator, number).call(tree)

      private

      def reason(leaf, record)
        Reason.new(leaf:, places: places(leaf, record), headings: headings(leaf, record))
      end

      def places(leaf, record)
        return {} unless TextPlaces::READ.include?(leaf.class)

        found = leaf.fields.to_h do |field|
          [field, TextPlaces.texts(record, field).flat_map { |text| TextPlaces.of(leaf, text) }]
        end
        found.reject { |_, places| places.empty? }
      end

      def headings(leaf, record)
        return [] unless leaf.is_a?(Strategy::Heading)

        labels = leaf.narrower ? @evaluator.thesaurus.with_narrower(leaf.label) : [leaf.label]
        record.headings.select do |heading|
          (leaf.label == Strategy::Heading::ANY || labels.include?(heading.label)) && (heading.main || !leaf.main) &&
            (leaf.aspects.empty? || leaf.aspects.intersect?(heading.aspects))
        end
      end

      # The leaves that can bring a record in. What Except takes away is no reason to be here.
      class Leaves < Strategy::TreeWalker
        def initialize(filters)
          super()
          @filters = filters
        end

        private

        def any_of(_tree, parts) = parts.flatten
        alias all_of any_of
        def except(_tree, kept, _excluded) = kept

        def leaf(leaf)
          case leaf
          when Strategy::Filter then call(@filters.tree(leaf))
          when Strategy::OwnFilter then call(leaf.tree)
          else [leaf]
          end
        end
      end

      # The parts that do not let one record through.
      class Missing < Strategy::TreeWalker
        def initialize(evaluator, number)
          super()
          @evaluator = evaluator
          @number = number
        end

        def call(tree) = found_by?(tree) ? [] : super

        private

        def found_by?(tree) = @evaluator.call(tree).include?(@number)
        def any_of(tree, _parts) = [tree]
        def all_of(_tree, parts) = parts.flatten
        def except(tree, kept, _excluded) = found_by?(tree.excluded) ? [tree] : kept
        def leaf(leaf) = [leaf]
      end
      private_constant :Leaves, :Missing
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Retrieval
    # Why a record is in a set: which leaves of the tree it answers, and where in its text.
    class Reasons
      # leaf :: a leaf of the tree; places :: Hash of field to [[first character, one past the last], …], empty for what
      # is no text; headings :: the Indexings of the record that a Heading leaf found it by
      Reason = Struct.new(:leaf, :places, :headings, keyword_init: true)

      def initialize(evaluator)
        @evaluator = evaluator
      end

      # tree :: what was searched; number :: of the record in the index; record :: the Record.
      # Gives an Array of Reason in the order of the tree; empty when the tree does not find the record.
      def call(tree, number, record)
        return [] unless @evaluator.call(tree).include?(number)

        leaves(tree).uniq.select { |leaf| @evaluator.call(leaf).include?(number) }.map { |leaf| reason(leaf, record) }
      end

      # The parts of a tree that keep a record out: what it lacks, or what Except takes away. Empty when it is found.
      def missing(tree, number)
        return [] if @evaluator.call(tree).include?(number)

        case tree
        when Strategy::AllOf then tree.parts.flat_map { |part| missing(part, number) }
        when Strategy::Except then @evaluator.call(tree.taken).include?(number) ? [tree] : missing(tree.kept, number)
        else [tree]
        end
      end

      private

      # What Except takes away is no reason to be here.
      def leaves(tree)
        case tree
        when Strategy::Joining then tree.parts.flat_map { |part| leaves(part) }
        when Strategy::Except then leaves(tree.kept)
        when Strategy::Filter then leaves(@evaluator.filters.tree(tree))
        when Strategy::OwnFilter then leaves(tree.tree)
        else [tree]
        end
      end

      def reason(leaf, record) = Reason.new(leaf:, places: places(leaf, record), headings: headings(leaf, record))

      def places(leaf, record)
        return {} unless leaf.is_a?(Strategy::Words) || leaf.is_a?(Strategy::Near)

        found = leaf.fields.to_h do |field|
          [field, TextPlaces.texts(record, field).flat_map { |text| TextPlaces.of(leaf, text) }]
        end
        found.reject { |_, places| places.empty? }
      end

      def headings(leaf, record)
        return [] unless leaf.is_a?(Strategy::Heading)

        labels = leaf.narrower ? @evaluator.thesaurus.with_narrower(leaf.label) : [leaf.label]
        record.headings.select do |one|
          (leaf.label == Strategy::Heading::ANY || labels.include?(one.label)) && (one.main || !leaf.main) &&
            (leaf.aspects.empty? || leaf.aspects.intersect?(one.aspects))
        end
      end
    end
  end
end

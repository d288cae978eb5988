# frozen_string_literal: true

module Hobrin
  # What is searched for, as a tree of plain values. Leaves: Words, Near, Heading, Author, Journal,
  # Identifier, Limit, Dates, Filter, Everything, and Line, which stands for an earlier tree. Above
  # them: AnyOf (OR), AllOf (AND), Except (NOT). Equal trees are equal values and have one canonical
  # text (Cql.write), which is the key of every cache.
  #
  # What a person builds are Blocks of Terms; `Strategy.join` turns them into a tree.
  module Strategy
    # The join of the blocks that have at least one term in use; nil when none has.
    def self.join(blocks)
      trees = blocks.filter_map(&:tree)
      trees.empty? ? nil : AllOf.of(trees)
    end
  end
end

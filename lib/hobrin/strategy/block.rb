# frozen_string_literal: true

module Hobrin
  module Strategy
    # The names of one element, joined by OR.
    #
    # key :: the element's key; terms :: Array of Term, in the person's order
    class Block < Value
      attributes :key, :terms

      MOST_TERMS = 200
      private_constant :MOST_TERMS

      # Raises InputError (:typed) past two hundred terms.
      def initialize(key:, terms: [])
        raise InputError, { typed: "A block holds #{MOST_TERMS} terms at most." } if terms.size > MOST_TERMS

        @key = key.dup.freeze
        @terms = terms.dup.freeze
        freeze
      end

      def in_use = terms.select(&:in_use?)
      def term(id) = terms.find { |term| term.id == id }

      # Whether a leaf stands in this block already, in use or crossed out.
      def holds?(leaf) = terms.any? { |term| term.leaf == leaf }

      # The OR of the terms in use; nil when there is none.
      def tree = in_use.empty? ? nil : AnyOf.of(in_use.map(&:leaf))

      # The block with one term replaced by what the block gives; removed when it gives nil.
      def replace(id) = with(terms: terms.filter_map { |term| term.id == id ? yield(term) : term })
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # A paper that a person knows, and how it is indexed: found by its id, its DOI, or words of its title.
    class ReadPaper
      # record :: Records::Record; keys :: the keys of the blocks that find it; held :: Hash of heading label to the keys
      # of the blocks that have it as a term
      Paper = Struct.new(:record, :keys, :held, keyword_init: true)

      MOST = 6
      private_constant :MOST

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      # Gives a Paper, nil when there is none with this id.
      def call(inquiry, id)
        record = @context.library.record(id) or return
        number = @context.library.number(id)
        blocks = inquiry.searched_blocks
        keys = blocks.select { |block| @evaluator.call(block.tree).include?(number) }.map(&:key)
        Paper.new(record:, keys:, held: held(blocks, record))
      end

      # typed :: a DOI, or words of the title. Gives an Array of Record, the newest first.
      def find(typed)
        by_id = identifier(typed)
        found = by_id.empty? ? @evaluator.call(Strategy::AllOf.of(title_words(typed))) : by_id
        @context.library.newest(found, limit: MOST)
      rescue InputError, ArgumentError
        []
      end

      # The newest papers of a block, or of all joined ones when key is nil.
      def newest(inquiry, key)
        set = key ? @evaluator.call(inquiry.block(key).tree) : inquiry.cascade(@evaluator).joined
        @context.library.newest(set, limit: MOST)
      end

      private

      def identifier(typed)
        @evaluator.call(Strategy::Identifier.read(typed))
      rescue InputError
        Records::RecordSet.empty
      end

      def title_words(typed) = Text::Tokens.of(typed).map { |word| Strategy::Words.read(word, fields: [:title]) }

      def heading?(block, label) = block.terms.any? { |term| term.heading? && term.label == label }

      def held(blocks, record)
        record.headings.map(&:label).to_h do |label|
          having = blocks.select { |block| heading?(block, label) }
          [label, having.map(&:key)]
        end
      end
    end
  end
end

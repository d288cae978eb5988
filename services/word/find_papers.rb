# frozen_string_literal: true

module Hobrin
  module Services
    # Finds a paper that a person knows by its id, its DOI, or words of its title.
    class FindPapers
      MOST = 10

      def initialize(context)
        @context = context
        @evaluator = context.evaluator
      end

      # typed :: an id, a DOI, or words of the title. Gives an Array of Record, the newest first; at
      #   most MOST. Of a paper that is here twice under one DOI, the record that came first.
      def call(typed)
        by_id = by_identifier(typed)
        @context.library.newest(by_id.empty? ? by_title(typed) : by_id, limit: MOST)
      rescue InputError
        []
      end

      private

      def by_identifier(typed)
        found = @evaluator.call(Strategy::Identifier.read(typed))
        found - Records::RecordSet.of(@context.library.duplicates.within(found).keys)
      rescue InputError
        Records::RecordSet.empty
      end

      def by_title(typed)
        words = Text::Tokens.of(typed).map { |word| Strategy::TextTerm.read(word, fields: [:title]) }
        words.empty? ? Records::RecordSet.empty : @evaluator.call(Strategy::AllOf.of(words))
      end
    end
  end
end

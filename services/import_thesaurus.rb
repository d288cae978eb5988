# frozen_string_literal: true

module Hobrin
  module Services
    # Replaces the headings of the library.
    class ImportThesaurus
      def initialize(context)
        @context = context
      end

      # headings :: Array of Thesaurus::Heading. Raises InputError naming what does not hang together.
      def call(headings) = @context.library.write_thesaurus(Thesaurus.new(headings))
    end
  end
end

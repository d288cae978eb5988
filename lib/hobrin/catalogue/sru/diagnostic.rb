# frozen_string_literal: true

module Hobrin
  module Catalogue
    module Sru
      # What is wrong with a request, by the numbers of the list of SRU (info:srw/diagnostic/1).
      #
      # number :: of the list; details :: which of what was sent
      class Diagnostic < Value
        attributes :number, :details

        WORDS = { 1 => "General system error", 4 => "Unsupported operation",
                  5 => "Unsupported version",
                  6 => "Unsupported parameter value", 7 => "Mandatory parameter not supplied",
                  10 => "Query syntax error", 16 => "Unsupported index",
                  19 => "Unsupported relation",
                  20 => "Unsupported relation modifier",
                  46 => "Unsupported boolean modifier", 51 => "Result set does not exist",
                  61 => "First record position out of range",
                  66 => "Unknown schema for retrieval",
                  71 => "Unsupported record packing", 80 => "Sort not supported",
                  120 => "Response position out of range" }.freeze
        private_constant :WORDS

        # Raised where a request cannot be answered; carries the diagnostic.
        class Told < StandardError
          attr_reader :diagnostic

          def initialize(diagnostic)
            @diagnostic = diagnostic
            super(diagnostic.words)
          end
        end

        def self.tell(number, details) = raise(Told, new(number:, details:))

        def words = WORDS.fetch(number)
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Learning
    # The parts of docs/asking.md that are made anew.
    class Page
      FILE = File.expand_path("../docs/asking.md", __dir__)
      FAILURES = 20

      # figures :: as Study::FIGURES has them; understanding :: learnt from four fifths
      def initialize(figures, understanding)
        @parts = { "figures" => Tables.new(figures).to_s,
                   "failures" => Failures.new(understanding).call(Examples.held_out,
                                                                  most: FAILURES) }
      end

      # The page with its made parts as they are now. text :: the page as it was
      def call(text) = MadeParts.put(text, @parts)
    end
  end
end

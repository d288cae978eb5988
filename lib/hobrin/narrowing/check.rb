# frozen_string_literal: true

module Hobrin
  module Narrowing
    # Looks a search over before it is run for good, in the order of the elements of the published peer-review guideline for
    # electronic search strategies (PRESS 2015: McGowan et al., J Clin Epidemiol 2016;75:40, from memory). What it finds
    # is worth a look, not always wrong; most of it can be mended in one press.
    class Check
      # kind :: a key of Texts::ALL; group :: one of GROUPS; says :: what was found; why :: why it matters
      # press :: what mending does, in words, nil when only the person can; mended :: the Inquiry after it
      Finding = Struct.new(:kind, :group, :says, :why, :press, :mended, keyword_init: true)

      GROUPS = { question: "The question in blocks", joins: "AND, OR, NOT and nearness", headings: "Headings",
                 words: "Words of the text", spelling: "Spelling and lines", limits: "Limits and filters" }.freeze

      # inquiry :: Inquiry; evaluator :: an Evaluator
      def initialize(inquiry, evaluator)
        @parts = [OfBlocks, OfHeadings, OfWords, OfLimits].map { |part| part.new(inquiry, evaluator) }
      end

      # Gives an Array of Finding, by group; none for a search with nothing in it yet.
      def call = @parts.flat_map(&:call).sort_by.with_index { |one, place| [GROUPS.keys.index(one.group), place] }
    end
  end
end

# frozen_string_literal: true

module Hobrin
  # Looks a search over before it is run for good, in the order of the elements of the published
  # peer-review guideline for electronic search strategies (PRESS 2015: McGowan et al., J Clin
  # Epidemiol 2016;75:40, from memory). What it finds is worth a look, not always wrong; most of it
  # can be mended in one press.
  class Check
    # kind  :: a key of Texts::GROUP_OF; name :: what it is called in a press, made of what it was found at
    # words :: Hash of what its text is filled in with; group :: one of GROUPS; says :: what was
    #   found; why :: why it matters
    # press :: what mending does, in words, nil when only the person can; mended :: the Inquiry
    #   after it
    class Finding < Value
      attributes :kind, :name, :words, :group, :says, :why, :press, :mended
    end

    GROUPS = Narrowing::PeerReview::ELEMENTS

    # inquiry :: Inquiry; evaluator :: an Evaluator; cascade :: of the inquiry, when it was worked
    #   out already
    def initialize(inquiry, evaluator, cascade: nil)
      cascade_once = -> { cascade ||= inquiry.cascade(evaluator) }
      @parts = [OfBlocks, OfHeadings, OfWords, OfLimits].map do |part|
        part.new(inquiry, evaluator, cascade_once)
      end
    end

    # Gives an Array of Finding, by group; none for a search with nothing in it yet.
    def call
      @parts.flat_map(&:call).sort_by.with_index do |one, place|
        [GROUPS.keys.index(one.group), place]
      end
    end

    # The Finding with a name, nil when it is not found any more. Looks no further than it must.
    def named(name) = @parts.lazy.flat_map(&:call).find { |finding| finding.name == name }

    # What the parts of the check have in common.
    class Part
      # cascade :: a Proc that gives the Cascade of the inquiry, for the parts that need it
      def initialize(inquiry, evaluator, cascade)
        @inquiry = inquiry
        @evaluator = evaluator
        @cascade = cascade
        @blocks = inquiry.searched_blocks.reject { |block| block.operator == :out }
      end

      private

      attr_reader :inquiry, :evaluator, :blocks

      def thesaurus = evaluator.thesaurus
      def cascade = @cascade.call
      def filled = blocks.select(&:tree)
      def letter(block) = inquiry.question.element(block.key).letter

      # Array of [Block, Term] of the terms in use that are of a kind.
      def each_term(kind)
        filled.flat_map do |block|
          block.in_use.select { |term| term.leaf.is_a?(kind) }.map { |term| [block, term] }
        end
      end

      # kind :: a key of Texts::GROUP_OF; about :: what it was found at, so that it can be named;
      # mended :: the Inquiry after it,
      # or nil; words :: what its text is filled in with
      def finding(kind, about, mended = nil, **words)
        text = Texts.of(kind, words)
        # A count may have moved when it is pressed; what it is about has not.
        name = [kind, about, *words.values.grep_v(Integer)].join("|")
        Finding.new(kind:, name:, words:, group: text.group, says: text.says, why: text.why,
                    press: (text.press if mended), mended:)
      end

      # The inquiry with one more name in a block, nil when the block is full.
      def added(block, leaf) = (inquiry.with_leaf(block.key, leaf) unless block.full?)

      def of_term(term) = "term #{term.id}"

      def left_out(block) = inquiry.with_block(block.with_operator(:out))

      def crossed_out(block, term, reason)
        inquiry.with_block(block.replace(term.id) { |changed| changed.with(crossed_out: reason) })
      end

      def changed(block, term, leaf)
        inquiry.with_block(block.replace(term.id) { |changed| changed.with(leaf:) })
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  # Looks a search over before it is run for good, in the order of the elements of the published
  # peer-review guideline for electronic search strategies (PRESS 2015: McGowan et al., J Clin
  # Epidemiol 2016;75:40, from memory). What it finds is worth a look, not always wrong; most of it
  # can be mended in one press.
  class Check
    # kind  :: a key of Texts::ALL; name :: what it is called in a press, made of what it was found at
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
    def named(name) = @parts.lazy.flat_map(&:call).find { |one| one.name == name }
  end
end

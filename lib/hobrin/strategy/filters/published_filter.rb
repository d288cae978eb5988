# frozen_string_literal: true

module Hobrin
  module Strategy
    # What was published of a study filter.
    #
    # filter :: Filter; tree :: the tree of its terms
    # sensitivity, specificity :: in percent as published; nil where no figure is to hand
    # source :: where it was published; searched, here :: the fields in which the original looked, and
    #   those in which these terms look; changed :: what was changed, "" when nothing was; note :: how
    #   surely it is known
    class PublishedFilter < Value
      attributes :filter, :tree, :sensitivity, :specificity, :source, :searched, :here, :changed,
                 :note

      # Whether the published figures are those of these terms.
      def as_published? = changed.empty?

      # Its terms, any of which lets a paper through.
      def terms = tree.is_a?(AnyOf) ? tree.parts : [tree]
    end
  end
end

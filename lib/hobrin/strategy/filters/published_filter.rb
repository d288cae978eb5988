# frozen_string_literal: true

module Hobrin
  module Strategy
    # What was published of a study filter.
    #
    # filter :: Filter; tree :: the tree of its terms
    # sensitivity, specificity :: in percent as published; nil where no figure is to hand
    # source :: where it was published; note :: how its terms were adapted or remembered, "" when
    #   they were not
    class PublishedFilter < Value
      attributes :filter, :tree, :sensitivity, :specificity, :source, :note

      # Its terms, any of which lets a paper through.
      def terms = tree.is_a?(AnyOf) ? tree.parts : [tree]
    end
  end
end

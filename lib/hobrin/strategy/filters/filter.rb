# frozen_string_literal: true

module Hobrin
  module Strategy
    # A published study filter by kind of question and width; `Filters` says which terms it stands
    # for.
    #
    # kind :: such as "treatment"; width :: one of WIDTHS
    class Filter < Expression
      attributes :kind, :width

      # From wide to narrow.
      WIDTHS = %w[sensitive balanced specific].freeze

      def name = :filter
      def slot = name
      def label = "#{kind}/#{width}"
    end
  end
end

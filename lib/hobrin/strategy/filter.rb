# frozen_string_literal: true

module Hobrin
  module Strategy
    # A published study filter by kind of question and width; `Filters` says which terms it stands for.
    #
    # kind :: such as "treatment"; width :: "sensitive", "balanced" or "specific"
    class Filter < Node
      attributes :kind, :width

      def label = "#{kind}/#{width}"
    end
  end
end

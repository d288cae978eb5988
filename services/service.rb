# frozen_string_literal: true

module Hobrin
  module Services
    # What services have in common: the context in which they work.
    class Service
      # context :: Context
      def initialize(context)
        @context = context
      end
    end
  end
end

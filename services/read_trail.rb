# frozen_string_literal: true

module Hobrin
  module Services
    # The trail of an inquiry, the last change first.
    class ReadTrail
      def initialize(context)
        @context = context
      end

      # Gives an Array of Store::Inquiries::TrailLine. Raises GoneError.
      def call(id)
        @context.inquiries.find(id)
        @context.inquiries.trail(id)
      end
    end
  end
end

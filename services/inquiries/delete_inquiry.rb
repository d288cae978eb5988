# frozen_string_literal: true

module Hobrin
  module Services
    # Deletes an inquiry and its trail.
    class DeleteInquiry
      def initialize(context)
        @context = context
      end

      # Raises GoneError when it is not there.
      def call(id) = @context.inquiries.delete(id)
    end
  end
end

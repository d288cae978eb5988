# frozen_string_literal: true

module Hobrin
  module Services
    # Puts an inquiry out of the way without taking it away, and brings one back to the board.
    class PutAside
      def initialize(context)
        @context = context
      end

      # Raises GoneError.
      def call(id) = @context.inquiries.put_aside(id, at: @context.now)

      # One that was put aside, or else taken away. Raises GoneError.
      def back(id)
        @context.inquiries.put_aside(id, at: nil)
      rescue GoneError
        DeleteInquiry.new(@context).bring_back(id)
      end
    end
  end
end

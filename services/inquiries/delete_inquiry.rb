# frozen_string_literal: true

module Hobrin
  module Services
    # Takes an inquiry away. For thirty days it can be brought back; then the nightly run forgets it with
    # its trail.
    class DeleteInquiry
      KEPT_DAYS = 30

      def initialize(context)
        @context = context
      end

      # Raises GoneError when it is not there.
      def call(id)
        @context.inquiries.delete(id, at: @context.now)
        @context.note_down("deleted", "inquiry #{id}")
      end

      # Raises GoneError when it was not taken away, or too long ago.
      def bring_back(id)
        @context.inquiries.bring_back(id, since:)
        @context.note_down("brought back", "inquiry #{id}")
      end

      # One that was taken away before this time can no more be brought back.
      def since = @context.days_ago(KEPT_DAYS)
    end
  end
end

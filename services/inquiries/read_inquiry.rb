# frozen_string_literal: true

module Hobrin
  module Services
    # Opens an inquiry, to look at it.
    class ReadInquiry
      def initialize(context)
        @context = context
      end

      # Gives an OpenInquiry. Raises GoneError.
      def call(id) = OpenInquiry.new(@context, @context.inquiries.find(id))

      # What was changed since a person looked at a version, in another window than theirs.
      # own :: number of the line that they wrote themselves since, or nil. Gives an Array of
      #   Trail::Line.
      def elsewhere(id, seen, own: nil)
        @context.inquiries.lines_after(id, seen).reject { |line| line.number == own }
      end
    end
  end
end

# frozen_string_literal: true

module Hobrin
  module Services
    # The one way in which an inquiry changes: load, change, count before and after, save and write the
    # trail, in one transaction. A service with a verb of its own gives it the change.
    class ChangeInquiry
      def initialize(context)
        @context = context
      end

      # step :: where the person is; version :: what they saw, or nil
      # The block gets the Inquiry and gives [the new Inquiry, the change in words]; when the Inquiry is
      # the same nothing is written. Gives the Saved as it is then.
      def call(id, step:, version: nil)
        @context.inquiries.change(id, version:, step:, at: @context.now) do |before|
          inquiry, change = yield(before.inquiry)
          next if inquiry == before.inquiry

          [inquiry, { who: @context.who, change:, count_before: count(before.inquiry), count_after: count(inquiry),
                      library_version: @context.library.version }]
        end
      end

      private

      def count(inquiry) = inquiry.cascade(@context.evaluator).final.size
    end
  end
end

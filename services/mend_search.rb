# frozen_string_literal: true

module Hobrin
  module Services
    # The check of a search, and what mends one of its findings.
    class MendSearch
      # seen :: see ChangeInquiry
      def initialize(context, seen: nil)
        @context = context
        @change = ChangeInquiry.new(context, seen:)
      end

      # Gives an Array of Narrowing::Check::Finding.
      def findings(inquiry) = Narrowing::Check.new(inquiry, @context.evaluator).call

      # number :: of the finding, from 0. Raises GoneError when there is none, or only the person can mend it.
      def call(id, number)
        @change.call(id, step: :narrow, part: ->(inquiry) { [inquiry.question, inquiry.state] }) do |inquiry|
          finding = number.is_a?(Integer) && number >= 0 ? findings(inquiry)[number] : nil
          raise GoneError, "finding" unless finding&.mended

          [finding.mended, "#{finding.press}: #{finding.says}"]
        end
      end
    end
  end
end

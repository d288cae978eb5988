# frozen_string_literal: true

module Hobrin
  module Services
    # What does not fit together, or is still open, in a brief that is about to be signed off.
    class CheckSignOff
      def initialize(context)
        @context = context
      end

      # opened :: OpenInquiry. Gives an Array of Brief::SignOffCheck::Gap.
      def call(opened)
        brief = ReadBrief.new(@context).call(opened)
        findings = ReadWeigh.new(@context, opened).table
        Brief::SignOffCheck.new(inquiry: opened.inquiry, findings:, evidence: brief.rows, flow: brief.flow, **colleagues(opened)).call
      end

      private

      def colleagues(opened)
        screening, appraisal = [ReadTwice, WeighTwice].map { |service| service.new(@context, opened.id) }
        { differences: { screening: unresolved(screening), appraisal: unresolved(appraisal) },
          waiting: appraisal.unweighed(opened.inquiry.kept_ids) }
      end

      def unresolved(two) = two.apart? ? two.overview.open.size : 0
    end
  end
end

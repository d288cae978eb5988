# frozen_string_literal: true

module Hobrin
  module Services
    # Saves the appraisal of one kept paper.
    class WeighPaper
      def initialize(context)
        @context = context
      end

      # paper :: Appraisal::Paper. Raises GoneError when that paper is not among the kept ones.
      def call(id, paper, version: nil)
        ChangeInquiry.new(@context).call(id, step: :weigh, version:) do |inquiry|
          raise GoneError, "paper" unless inquiry.kept_ids.include?(paper.record_id)

          [inquiry.with_paper(paper), "Weighed “#{@context.library.record(paper.record_id)&.title}”"]
        end
      end
    end
  end
end

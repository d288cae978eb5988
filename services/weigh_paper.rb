# frozen_string_literal: true

module Hobrin
  module Services
    # Saves the appraisal of one kept paper.
    class WeighPaper
      def initialize(context, seen: nil)
        @context = context
        @change = ChangeInquiry.new(context, seen:)
      end

      # paper :: Appraisal::Paper. Raises GoneError when that paper is not among the kept ones.
      def call(id, paper)
        @change.call(id, step: :weigh, part: ->(inquiry) { inquiry.paper(paper.record_id) }) do |inquiry|
          raise GoneError, "paper" unless inquiry.kept_ids.include?(paper.record_id)

          [inquiry.with_paper(paper), "Weighed “#{@context.library.record(paper.record_id)&.title}”"]
        end
      end
    end
  end
end

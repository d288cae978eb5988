# frozen_string_literal: true

module Hobrin
  module Services
    # What the kept papers with numbers say together.
    class ReadTogether
      def initialize(context, opened)
        @context = context
        @inquiry = opened.inquiry
      end

      # measure :: one of Statistics::TwoGroups::MEASURES; without :: ids that a person takes out
      # Gives an Array of Appraisal::Together::Pool.
      def call(measure: :log_risk_ratio, without: [])
        Appraisal::Together.new(entries, measure:, without:, same:).call
      end

      private

      def entries
        @entries ||= @context.library.records_by_id(@inquiry.kept_ids).filter_map do |record|
          paper = @inquiry.paper(record.id)
          [record, paper] if paper&.table
        end
      end

      def same
        closely = ReadClosely.new(@context)
        entries.to_h { |record, _| [record.id, closely.reports_of(record).map(&:id)] }
      end
    end
  end
end

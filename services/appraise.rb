# frozen_string_literal: true

module Hobrin
  module Services
    # What the Appraise step reads.
    module Appraise
      # What was weighed and what it comes to: outcomes put together, how sure each is, and what the
      # texts of papers offer.
      class Read
        # opened :: OpenInquiry
        def initialize(context, opened)
          @context = context
          @opened = opened
          @inquiry = opened.inquiry
          @pools = {}
        end

        # outcome :: Appraisal::Outcome. Gives an Appraisal::Synthesis::Pool.
        def pool(outcome)
          @pools[outcome] ||= Appraisal::Synthesis.new(outcome, entries(outcome), same:, arms: arms(outcome)).call
        end

        # The two groups that an outcome compares: CloseReading::Arms.
        def arms(outcome) = outcome.arms.or(@inquiry.question.arms)

        # Of the outcomes for which any paper gives numbers.
        def pools = @inquiry.weighing.outcomes.map { |outcome| pool(outcome) }

        # Appraisal::Certainty, nil where no paper is counted.
        def certainty(pool) = Appraisal::Certainty.of(pool, kind:, protocols:)

        # Array of Appraisal::Findings::Row.
        def table = @table ||= Appraisal::Findings.table(pools, kind:, protocols:)

        # Brief::FindingsTable of all outcomes and findings.
        def findings_table
          @findings_table ||= Brief::FindingsTable.new(
            rows: table, findings: @inquiry.weighing.findings.map { |finding| [finding, confidence(finding)] }
          )
        end

        # Appraisal::Finding::Confidence of a finding.
        def confidence(finding)
          Appraisal::Finding::Confidence.of(finding, @inquiry.papers.select { |paper| records.key?(paper.record_id) }, kind:)
        end

        # The sentences of a paper: of its abstract, and of its full text where one is kept.
        def passages(record)
          [record.abstract, @context.papers.text(record.id)].compact.map { |text| CloseReading::Passage.new(text) }
        end

        # The kept papers that report anything: Hash of id to Records::Record.
        def records
          @records ||= @context.library.records_by_id(@inquiry.kept_ids & appraised_ids).to_h do |record|
            [record.id, record]
          end
        end

        # How many protocols without results are among the papers that were found.
        def protocols
          @protocols ||= (@context.evaluator.index.sets(:type)["protocol"] || Records::RecordSet.empty).overlap(@opened.cascade.final)
        end

        private

        # Of papers that something was said of; the others tell no outcome anything.
        def appraised_ids = @inquiry.papers.map(&:record_id)

        def kind = @inquiry.question.kind

        def entries(outcome)
          @inquiry.weighing.results(outcome.id).filter_map do |paper, reported|
            [records[paper.record_id], paper, reported] if records.key?(paper.record_id)
          end
        end

        # Of papers that report anything: the ids of others that report the same people.
        def same
          @same ||= begin
            closely = Screen::Paper::Closely.new(@context)
            reporting = @inquiry.papers.select { |paper| paper.reported.any? }.map(&:record_id)
            records.slice(*reporting).transform_values do |record|
              closely.reports_of(record).map(&:id)
            end
          end
        end
      end
    end
  end
end

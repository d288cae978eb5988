# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    # The last three steps of the main inquiry, from decisions.yml: what is kept and why not, what the kept
    # papers are worth, and what the ward will do.
    class MainDecisions
      FILE = File.expand_path("decisions.yml", __dir__)
      ID = "10.5555/hobrin.%s"
      CELLS = Statistics::TwoByTwo.attribute_names
      private_constant :FILE, :ID, :CELLS

      def initialize(context, id)
        @context = context
        @id = id
        @data = YAML.safe_load_file(FILE, symbolize_names: true)
      end

      def call
        sift
        @data[:papers].each { |key, paper| weigh(format(ID, key), paper) }
        Services::WriteBrief.new(@context).call(@id, conclusion: @data[:conclusion], plan: Brief::ChangePlan.new(**@data[:plan]))
      end

      private

      # What is not named in the file is dropped when its title says why, and otherwise set aside.
      def sift
        found = Services::ReadInquiry.new(@context).call(@id).cascade.final
        @context.library.newest(found, limit: 100).each do |record|
          decide(record, @data[:sift][record.id.delete_prefix(format(ID, "")).to_sym] || by_title(record))
        end
      end

      def by_title(record)
        return { drop: "Other intervention" } if record.title.downcase.include?("bundle")

        return { unsure: "" } unless record.types == ["cohort study"]

        { drop: "Another reason", note: "Trials answer this; kept out to stay readable." }
      end

      def decide(record, choice)
        verdict = (choice.keys & Sifting::Decision::VERDICTS).first
        Services::DecidePaper.new(@context).call(@id, record.id, verdict:, reason: choice[:drop],
                                                                 note: choice[:note].to_s)
      end

      def weigh(record_id, paper)
        table = paper[:table] && Statistics::TwoByTwo.new(**CELLS.zip(paper[:table]).to_h)
        Services::WeighPaper.new(@context).call(
          @id, Appraisal::Paper.new(record_id:, table:, answers: paper.fetch(:answers, {}).transform_values(&:to_sym),
                                    **paper.slice(:design, :outcome, :finding, :graded, :graded_why))
        )
      end
    end
  end
end

# frozen_string_literal: true

require "yaml"

module Hobrin
  module Demo
    # The last three steps of the main inquiry, from decisions.yml: what is kept and why not, what
    # the kept papers are worth, and what the ward will do.
    class MainDecisions
      FILE = File.expand_path("decisions.yml", __dir__)
      ID = "10.5555/hobrin.%s"
      private_constant :FILE, :ID

      def initialize(context, id)
        @context = context
        @id = id
        @data = YAML.safe_load_file(FILE, symbolize_names: true)
      end

      # choice :: Hash of a verdict, with the reason where it drops, and note
      def self.decision(record_id, choice)
        verdict = (choice.keys & Screening::Decision::VERDICTS).first
        Screening::Decision.new(record_id:, verdict:, reason: choice[:drop], note: choice[:note].to_s)
      end

      # What the file says of papers read twice: Hash of id to an Array of decisions.
      def twice
        @data[:twice].to_h do |key, choices|
          id = format(ID, key)
          [id, choices.map { |choice| MainDecisions.decision(id, choice) }]
        end
      end

      # What the second one answered otherwise on sheets: Hash of id to a Hash of question to answer.
      def weighed_apart = @data[:weighed_apart].transform_keys { |key| format(ID, key) }

      def call
        sift
        follow
        ask_for
        weighing = Weighing.new(@context, @id, :main)
        weighing.call
        edit(Edits::Practice::WriteBrief.new(conclusion: @data[:conclusion], plan: @data[:plan]))
        deliberate
        @data[:measures].each { |measure| measured(measure) }
        plan
        sign_twice(weighing)
      end

      private

      def plan
        steps = @data[:steps].map { |step| Brief::ActionPlan::Step.new(**step, on: Date.iso8601(step[:on])) }
        cycles = @data[:cycles].map { |cycle| Brief::ActionPlan::PdsaCycle.new(**cycle) }
        edit(Edits::Practice::PlanSteps.new(needs: @data[:needs], steps:, cycles:))
      end

      # Once, and again when one more paper is weighed; then it is shared.
      def sign_twice(weighing)
        sign
        weighing.call_later
        sign
        Services::Act::ShareBrief.new(@context).open(@id)
      end

      def sign = Services::Act::SignBrief.new(@context).call(@id, @data[:signer], reason: @data[:signed_because])

      def deliberate
        considerations = @data[:shall_we].transform_values { |(mark, line)| Brief::Acting::Consideration.new(mark:, line:) }
        edit(Edits::Practice::Decide.new(considerations:, decision: @data[:decision]))
      end

      # Week by week, from the first week or from the one that it names.
      def measured(measure)
        first = Date.iso8601(measure[:from] || @data[:first_week])
        points = measure[:numbers].each_with_index.map do |(events, of), week|
          Brief::Measure::Point.new(day: first + (7 * week), events:, of:)
        end
        given = { **measure.except(:numbers, :from), points:,
                                                     started: Date.iso8601(@data[:started]) }
        edit(Edits::Practice::WriteMeasure.new(measure_id: nil, given:))
      end

      # One round of the citations of what is kept; some of what it finds is let in, and one more
      # paper by hand.
      def follow
        edit(Edits::Screen::SearchCitations.new)
        @data[:let_in].each_key { |id| edit(Edits::Papers::IncludeManually.new(record_id: id.to_s)) }
        @data[:let_in].each { |id, choice| decide(@context.library.record(id.to_s), choice) }
      end

      # Papers that wait for their full text, until after the first signature.
      def ask_for
        @data[:asked_for].each do |key|
          decide(@context.library.record(format(ID, key)),
                 { unsure: "", note: "Full text asked for." })
        end
      end

      # What is not named in the file is dropped when its title says why, and otherwise set aside.
      def sift
        found = Services::Inquiries::Read.new(@context).call(@id).cascade.final
        @context.library.newest(found, limit: 100).each do |record|
          decide(record,
                 @data[:sift][record.id.delete_prefix(format(ID, "")).to_sym] || by_title(record))
        end
      end

      def by_title(record)
        return { drop: "Other intervention" } if record.title.downcase.include?("bundle")

        return { unsure: "" } unless record.types == ["cohort study"]

        { drop: "Another reason", note: "Trials answer this; kept out to stay readable." }
      end

      def decide(record, choice)
        return if choice.key?(:later)

        edit(Edits::Screen::Decide.new(decision: MainDecisions.decision(record.id, choice)))
      end

      def edit(edit) = Services::ApplyEdit.new(@context).call(@id, edit)
    end
  end
end

# frozen_string_literal: true

module Hobrin
  class Brief
    # What does not fit together, or is still open, before a brief is signed off.
    class SignOffCheck
      # about :: :conclusion, :decision or :open; words :: a sentence; place :: where it can be put
      # right: :brief, :decision, :screening, :differences, :appraisal or :outcome; id :: of the paper
      # or the outcome meant, nil for none
      class Gap < Value
        attributes :about, :words, :place, :id
      end

      # What a decision to change something needs in the plan.
      NEEDED = %i[what who from_when].freeze
      CHANGING = %w[change some trial].freeze
      private_constant :NEEDED, :CHANGING

      # inquiry :: Inquiry; findings :: Array of Appraisal::Findings::Row; evidence :: Array of
      #   EvidenceRow; flow :: Flow
      # differences :: how many papers two people decided or appraised differently and have not
      #   resolved: Hash of :screening and :appraisal to a number
      # waiting :: Hash of a colleague's name to how many papers wait for their appraisal
      def initialize(inquiry:, findings:, evidence:, flow:, differences: {}, waiting: {})
        @inquiry = inquiry
        @findings = findings
        @evidence = evidence
        @flow = flow
        @differences = differences
        @waiting = waiting
      end

      # Gives an Array of Gap, in the order in which they are shown.
      def call
        [*conclusion, *absent, *decision, *plan, *outcomes, *appraisal, *colleagues, *screening]
      end

      private

      def conclusion
        Claim.objections(@inquiry.conclusion, @findings).map do |objection|
          gap(:conclusion, text(:claim, objection: objection.words), :brief)
        end
      end

      def absent
        name = Compared.new(@inquiry.question, @evidence).absent or return []

        [gap(:conclusion, text(:comparison, name:), :brief)]
      end

      def decision
        return undecided if decided.empty?

        harms, benefits = %i[harm benefit].map { |side| @findings.select { |row| row.side == side } }
        words =
          if changes? && @findings.any? && benefits.empty? then text(:no_benefit, decision: decided_words)
          elsif changes? && harms.any? { |row| row.outcome.matters == :critical }
            text(:critical_harm, decision: decided_words, outcomes: named(harms))
          end
        words ? [gap(:decision, words, :decision)] : []
      end

      def undecided
        @inquiry.plan.what.empty? ? [] : [gap(:decision, text(:undecided), :decision)]
      end

      def plan
        missing = NEEDED.select { |field| @inquiry.plan.public_send(field).empty? }
        if changes? && missing.any?
          names = missing.map { |field| "“#{ActionPlan::PROMPTS.fetch(field)}”" }.join(", ")
          [gap(:decision, text(:plan_incomplete, decision: decided_words, fields: names), :brief)]
        elsif decided == "leave" && !@inquiry.plan.what.empty?
          [gap(:decision, text(:plan_changes, decision: decided_words), :brief)]
        else
          []
        end
      end

      def outcomes
        @findings.select { |row| row.pool.open_traps.any? }.map do |row|
          gap(:open, text(:open_warning, outcome: row.outcome.name), :outcome, row.outcome.id)
        end
      end

      def appraisal
        retracted = @evidence.select { |row| row.record.retracted? }
        unappraised = @evidence.reject { |row| row.paper&.weighed? }
        [
          *retracted.map { |row| gap(:open, text(:retracted, paper: row.record.short_name), :screening, row.record.id) },
          *counted(:not_appraised, unappraised.size, :appraisal, unappraised.first&.record&.id)
        ]
      end

      def colleagues
        waiting = @waiting.reject { |_, count| count.zero? }
        differences = @differences.reject { |_, count| count.zero? }
        open = differences.flat_map do |step, count|
          counted(:"differences_#{step}", count, :differences, step)
        end
        open + waiting.flat_map { |name, count| counted(:waiting, count, :appraisal, name:) }
      end

      def screening
        counted(:unread, @flow.unread, :screening) + counted(:unsure, @flow.unsure, :screening)
      end

      def decided = @inquiry.acting.decision
      def decided_words = Acting::Consideration::DECISIONS.fetch(decided).downcase
      def changes? = CHANGING.include?(decided)
      def named(rows) = rows.map { |row| row.outcome.name }.join(", ")

      def counted(key, count, place, id = nil, **facts)
        count.zero? ? [] : [gap(:open, text(key, count:, **facts), place, id)]
      end

      def text(key, **facts) = Book.t("brief.sign_off.#{key}", **facts)

      def gap(about, words, place, id = nil) = Gap.new(about:, words:, place:, id:)
    end
  end
end
